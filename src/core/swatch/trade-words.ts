/**
 * Trade words for colours in English, German, French, Spanish, Italian and Dutch, without accents and case. Common
 * practice, no source. The words of one line mean the same.
 */
type Words = Readonly<Record<string, string>>;

const read = (lines: Words): ReadonlyMap<string, string> =>
  new Map(Object.entries(lines).flatMap(([said, words]) => words.split(" ").map((word) => [word, said] as const)));

/** The plain colours, which other words modify. */
const hueLines: Words = {
  "#0b0b0b": "black schwarz schwarze schwarzer schwarzes noir noire negro negra nero nera zwart zwarte",
  "#ffffff": "white weiss weisse weisser weisses blanc blanche blanco blanca bianco bianca wit witte",
  "#8a8c8f": "gray grau graue grauer graues gris grise grigio grigia grijs grijze",
  "#d2262e": "red rot rote roter rotes rouge rojo roja rosso rossa rood rode",
  "#f08a24": "orange orangefarben naranja anaranjado arancio arancione oranje",
  "#f2d21f": "yellow gelb gelbe gelber gelbes jaune amarillo amarilla giallo gialla geel gele",
  "#2f8f46": "green grun grune gruner grunes vert verte verde groen groene",
  "#2a5fb4": "blue blau blaue blauer blaues bleu bleue azul blu blauw blauwe",
  "#7d4aa8": "purple violet violett violette morado morada violeta viola paars paarse purpur",
  // In German a full purple, in Spanish a pale one.
  "#a07cc6": "lila",
  "#f07fa8": "pink rosa rose roze",
  "#6b4226": "brown braun braune brauner braunes marron brun brune marrone bruin bruine castano",
  "#dccbaa": "beige beis",
};

/** Things with a well-known colour, alone or beside a plain colour: bottle green, bleu nuit, Senfgelb. */
const thingLines: Words = {
  // Greens
  "#5e6b34": "moss moos mousse musgo muschio mos",
  "#0c5338": "bottle flaschen flasche bouteille botella bottiglia fles flessen",
  "#1c4b36": "fir pine tannen tanne sapin abeto pino abete abeten dennen den",
  "#22502f": "forest wald foret bosque bosco bos",
  "#6d7038": "olive oliv oliva olijf aceituna",
  "#9cab86": "sage salbei sauge salvia salie",
  "#a6e3c4": "mint minze mintfarben menthe menta munt",
  "#5a5f38": "army military militar militaire legers leger militare",
  "#8a8457": "khaki kaki caqui cachi",
  "#169c62": "emerald smaragd emeraude esmeralda smeraldo",
  "#8a9a6b": "reed schilf roseau junco giunco riet",
  "#8db600": "apple apfel pomme manzana mela appel pistachio pistazie pistache pistacho pistacchio",
  "#c5dba1": "linden linde lind tilleul tilo tiglio",
  "#b9dfcf": "eau agua acqua aqua",
  "#a4c639": "lime limette citronvert lima",
  "#b76e79": "rosegold rosagold rosegoud ororosa orrose",
  // Blues
  "#1b2a52": "navy marine marino marina marineblauw",
  "#1a2143": "night midnight nacht mitternacht nuit minuit noche medianoche notte mezzanotte middernacht",
  "#8fc7ec": "sky himmel ciel celeste cielo hemel hemels",
  "#6fb1e4": "azzurro azure azur",
  "#07566a": "petrol petrole petroleo petrolio",
  "#0d6a75": "teal canard pato anatra eend krickente",
  "#30c5c0": "turquoise turkis turquesa turchese turkoois turkooise",
  "#4a6a92": "denim jeans vaquero jean spijker",
  "#6b7d94": "dove tauben pigeon paloma piccione duiven",
  "#5f7488": "smoke rauch fumee humo fumo rook",
  "#cfe6f0": "ice eis glace hielo ghiaccio ijs",
  "#1f44a8": "cobalt kobalt cobalto royal konigs roi rey koning konings",
  "#22325a": "ink tinte tinten encre tinta inchiostro inkt indigo anil indaco",
  "#6495ed": "cornflower kornblumen kornblume bleuet barbeau aciano fiordaliso korenbloem",
  "#c3ddd6": "duckegg",
  // Reds
  "#d2271f": "poppy mohn coquelicot amapola papavero klaproos",
  "#5a1a1e": "oxblood ochsenblut",
  "#8d5550": "rosewood rosenholz palissandre palisandro palissander",
  "#6a1a2d":
    "bordeaux burdeos bordo burgundy bordeauxrood wine wein wijn liedevin vino vinaccia granate granato bourgogne",
  "#a8452f": "brick ziegel brique teja ladrillo mattone steen terracotta terrakotta terracota",
  "#a8132b": "cherry kirsch cerise cereza guinda ciliegia kersen kers",
  "#c42a58": "raspberry himbeer himbeere framboise frambuesa lampone framboos framboze",
  "#8a2c56": "berry beere beeren baie baya bes bessen",
  "#a8482a": "rust rost rostfarben rouille oxido ruggine roest",
  "#b31b1b": "fire feuer feu fuego fuoco vuur",
  "#c8262c": "tomato tomaten tomate pomodoro tomaat chili chilli",
  // Pinks and purples
  "#c48f97": "oldrose altrosa vieuxrose rosaantico oudroze rosaviejo",
  "#e6bcbf": "rosapalo",
  "#eccfd0": "powder puder poudre poudree empolvado cipria poeder",
  "#e01f86": "fuchsia fuxia fucsia fuscia magenta",
  "#652a57": "plum pflaume pflaumen prune ciruela prugna pruim pruimen",
  "#472c4c": "aubergine eggplant berenjena melanzana",
  "#c0a3d8": "lilac flieder lilas lilla sering",
  "#8460b0": "veilchen violette violeta viooltje violetta",
  "#c3b3e0": "lavender lavendel lavande lavanda",
  "#f5a087": "salmon lachs lachsfarben saumon salmone zalm",
  "#f4795b": "coral koralle korallen corail corallo koraal koralen",
  "#f9c4a0": "peach pfirsich peche melocoton durazno pesca perzik",
  "#f2a65e": "apricot aprikose aprikosen marille abricot albaricoque albicocca abrikoos",
  "#b784a7": "mauve malve malva mauvefarben",
  // Yellows, browns and metals
  "#dd9a2a": "amber bernstein ambre ambar ambra barnsteen",
  "#c9892b": "ochre ocker ocre ocra oker",
  "#b0672f": "cinnamon zimt cannelle canela cannella kaneel",
  "#d0a52a": "mustard senf senffarben moutarde mostaza senape mosterd",
  "#f9c81e": "sun sonnen sonne soleil sol sole zon zonnen",
  "#f7e04b": "lemon zitronen zitrone citron limon limone citroen",
  "#e5b53b": "honey honig miel miele honing saffron safran azafran zafferano saffraan curry",
  "#cfa448": "gold golden dore doree oro dorado dorada dorato goud gouden",
  "#bfc1c3": "silver silber silbern argent argente argentee plata plateado plateada argento argentato zilver zilveren",
  "#b06a3b": "copper kupfer cuivre cobre rame koper bronze bronce bronzo brons",
  "#4d2d1e":
    "chocolate schoko schokolade schokoladen chocolat cioccolato chocolade mocha mokka moka espresso coffee kaffee cafe caffe koffie",
  "#9a4b22":
    "cognac caramel karamell caramelo caramello karamel tan cuoio leather leder cuir cuero whisky tobacco tabak tabac tabaco tabacco chestnut kastanie chataigne castagna hazel haselnuss noisette avellana nocciola nut nuss",
  "#c19a6b": "camel kamel camello cammello kameel",
  "#d9c6a0": "sand sandfarben sable arena sabbia zand zandkleur dune duna duin",
  "#8b7e74": "taupe topo talpa",
  "#a39787": "tortora mud schlamm boue barro fango modder",
  "#e3bfa5": "nude skin haut chair piel pelle huid",
  // Nearly white, nearly black
  "#e6dccb": "bone knochen os hueso osso bot eggshell",
  "#b3ada2": "pebble kiesel galet guijarro ciottolo kiezel ash asche cendre ceniza cenere as",
  "#f4ecd9":
    "cream creme crema panna ecru crudo wool woll laine lana wol ivory elfenbein ivoire marfil avorio ivoor vanilla vanille vainilla vaniglia champagne champagner champan naturel natural natur naturale",
  "#e2d6bf":
    "oatmeal oat hafer avoine avena haver linen leinen lin lino linnen stone stein pierre piedra pietra shell muschel",
  "#383e42":
    "anthracite anthrazit antracita antracite antraciet charcoal graphite graphit grafito grafite grafiet slate schiefer ardoise pizarra ardesia leisteen lead blei",
  "#8a8d8f": "pewter zinn etain peltro tin stahl steel acier acero acciaio staal",
  "#b9babd": "pearl perl perle perla parel cement zement ciment cemento",
};

/** The effect of a word on the colour beside it, by the name of its modifier. */
const modifierLines: Words = {
  dark: "dark dunkel dunkle dunkler dunkles fonce foncee sombre oscuro oscura scuro scura donker donkere",
  deep: "deep tief tiefe profond profonde intenso intensa profondo diep diepe satt",
  light: "light hell helle heller helles clair claire claro clara chiaro chiara licht lichte",
  pale: "pale blass blasse zart zarte pale palo palido palida pallido pallida bleek zacht zachte tendre suave tenue",
  pastel: "pastel pastell pastelo pastello baby",
  dusty:
    "dusty alt altes antik ancien vieux vieille antiguo viejo antico antica oud oude rauchig verstaubt empoudre vintage",
  muted: "muted matt mat mate opaco smoky fume ahumado gedeckt gedempt",
  marl: "marl heather melange meliert melierte meliertes chine chinee jaspeado jaspeada vigore gemeleerd melee mottled",
  wash: "wash washed stonewash stonewashed bleached gebleicht delave delavee lavado lavada slavato slavata gewassen verwaschen faded used",
  bright:
    "bright vivid vif vive vivo viva leuchtend leuchtendes acceso accesa fel felle knall kraftig lebhaft brillante brillant neon fluo electric elektrisch electrique electrico elettrico puro pur",
  burnt: "burnt gebrannt brule quemado bruciato verbrand",
  off: "off casse cassee roto rota gebroken gebrochen sporco wollig",
};

export const hues = read(hueLines);
export const things = read(thingLines);
export const modifiers = read(modifierLines);

/** Connecting words without a colour. */
export const connectives: ReadonlySet<string> = new Set(
  "de d du des della del dell di da en van het color colour farbe farben couleur colore kleur kleurig tono ton tint farbig".split(
    " ",
  ),
);
