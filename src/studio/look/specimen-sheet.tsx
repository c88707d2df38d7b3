import { useEffect, useMemo, useRef } from "react";
import useSWRImmutable from "swr/immutable";
import { displayNames, displays } from "../../core/displays/displays.ts";
import { over } from "../../core/look/colour.ts";
import { fontsNamedIn } from "../../core/look/fonts.ts";
import { withHeldStates } from "../../core/look/held.ts";
import { valueOn } from "../../core/look/resolve.ts";
import { states, type TokenState } from "../../core/look/value.ts";
import { pageLook } from "../../core/panel/look/page-look.ts";
import { fixedQueries, resolveBands, resolveScheme } from "../../core/settings/media.ts";
import { putAllViews } from "../../storefront/panel/displays/all.ts";
import { partsAt, statesOfPart } from "../../storefront/panel/part-at.ts";
import { drawSpecimen, eraseSpecimen, otherSpecimens, type SpecimenName } from "../../storefront/panel/specimen.tsx";
import { sightFilter } from "../shell/sight.tsx";
import { useLook, useLookDocument, useLookSession } from "./look-context.ts";

putAllViews();

const otherNames: Record<(typeof otherSpecimens)[number], string> = {
  title: "Title and hint",
  chips: "Chosen filters",
  links: "Links",
  button: "Apply button",
  opener: "Drawer button",
  field: "Search field",
  words: "Words",
};
const nameOf = (name: SpecimenName): string =>
  (displays as Partial<Record<SpecimenName, { label: string }>>)[name]?.label ??
  otherNames[name as keyof typeof otherNames];

const stateNames: Record<TokenState, string> = {
  rest: "At rest",
  hovered: "Hovered",
  focused: "Focused",
  chosen: "Chosen",
  "chosen-hovered": "Chosen, hovered",
  unavailable: "Unavailable",
};

/** Every display in every state. The specimens' surroundings are unstyled. */
export function SpecimenSheet() {
  const look = useLookDocument();
  const { session } = useLook();
  const { band, scheme, ground, vision, direction, style } = useLookSession((state) => state);
  const { data: base } = useSWRImmutable(`/storefront/style.css?stage&band=${band}`, fetchText);
  const sheet = useMemo(() => new CSSStyleSheet(), []);
  const own = useMemo(() => new CSSStyleSheet(), []);
  const sheets = useMemo(() => [sheet, own], [sheet, own]);
  useEffect(() => {
    if (base !== undefined) sheet.replaceSync(withHeldStates(base) + bare);
  }, [base, sheet]);
  useEffect(() => {
    const chosen = look.styles.find(({ id }) => id === style);
    const shown = chosen ? { ...look, values: { ...look.values, ...chosen.values } } : look;
    const css = resolveScheme(resolveBands(pageLook(shown, []), fixedQueries(band)), scheme);
    own.replaceSync(css);
    void loadFonts(css);
    if (shown.css === "") return;
    let over = false;
    // The reader of CSS is only loaded where there is some.
    import("../../core/look/extra-css.ts").then(({ containedCss }) => {
      if (!over) own.replaceSync(css + withHeldStates(containedCss(shown.css, ".zt-panel")));
    }, console.error);
    return () => {
      over = true;
    };
  }, [look, style, band, scheme, own]);
  const page = over(String(valueOn(look, "ground.page", band, scheme) ?? "#ffffff"), "#ffffff");
  const under = over(String(valueOn(look, "panel.ground", band, scheme) ?? "#ffffff00"), page);
  const back = { shop: under, white: "#ffffff", dark: "#15171a", picture: undefined }[ground];
  return (
    <div className="min-h-0 flex-1 overflow-auto">
      <table className="w-full table-fixed border-separate border-spacing-0 text-[13px]">
        <colgroup>
          <col style={{ width: 112 }} />
        </colgroup>
        <thead>
          <tr>
            <th className="sticky start-0 top-0 z-20 border-b border-hair bg-base-100" />
            {states.map((state) => (
              <th
                key={state}
                scope="col"
                className="sticky top-0 z-10 border-b border-hair bg-base-100 px-2 py-1.5 text-start font-medium whitespace-nowrap text-quiet"
              >
                {stateNames[state]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody
          dir={direction}
          style={{
            background: back ?? photo,
            ...sightFilter(vision),
          }}
        >
          {[...displayNames, ...otherSpecimens].map((name) => (
            <SpecimenRow
              key={name}
              name={name}
              sheets={sheets}
              ready={base !== undefined}
              pick={(part, state) => session.setState({ part, state })}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A synthetic photo as a background: light, dark and full of edges. */
const photo =
  "repeating-linear-gradient(115deg, #2f4a3a 0 26px, #8fae7f 26px 44px, #e9dfc6 44px 60px, #6d4b35 60px 82px)";

/** A specimen's facet has no title and no margin: the table provides them. */
const bare =
  "@layer custom { .zt-panel { display: block; padding: 0; border: 0; background: none; box-shadow: none } .zt-facet { padding: 0; border: 0 } .zt-body { padding: 0 } .zt-tip { top: 100% } }";

const fetchText = async (address: string): Promise<string> => {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`The style sheet could not be fetched (${response.status}).`);
  return response.text();
};

/** Font faces in a shadow tree are not loaded, so a look's are added to the document. */
async function loadFonts(css: string): Promise<void> {
  for (const { package: name } of fontsNamedIn(css)) {
    if (document.querySelector(`link[data-font="${name}"]`)) continue;
    const link = document.createElement("link");
    link.rel = "stylesheet";
    link.href = `/storefront/fonts/${name}.css`;
    link.dataset.font = name;
    document.head.append(link);
  }
}

interface RowProps {
  name: SpecimenName;
  sheets: readonly CSSStyleSheet[];
  ready: boolean;
  pick(part: string, state: TokenState): void;
}

function SpecimenRow({ name, sheets, ready, pick }: RowProps) {
  return (
    <tr>
      <th
        scope="row"
        dir="ltr"
        className="sticky start-0 z-10 border-b border-hair bg-base-100 px-3 py-2 text-start align-middle font-medium"
      >
        {nameOf(name)}
      </th>
      {states.map((state) => (
        <SpecimenCell key={state} name={name} state={state} sheets={sheets} ready={ready} pick={pick} />
      ))}
    </tr>
  );
}

function SpecimenCell({ name, state, sheets, ready, pick }: RowProps & { state: TokenState }) {
  const host = useRef<HTMLDivElement>(null);
  const { band, words, direction } = useLookSession((session) => session);
  const language = direction === "rtl" ? "ar" : "en";
  useEffect(() => {
    if (!host.current || !ready) return;
    const root = host.current.shadowRoot ?? host.current.attachShadow({ mode: "open" });
    root.adoptedStyleSheets = [...sheets];
    let box = root.firstElementChild;
    if (!box) {
      box = document.createElement("div");
      box.className = "zt-panel";
      root.append(box);
    }
    drawSpecimen(box, name, state, { band, words, language: language === "ar" ? "en" : language });
  }, [name, state, band, words, language, ready, sheets]);
  useEffect(() => {
    const element = host.current;
    return () => {
      if (element?.shadowRoot?.firstElementChild) eraseSpecimen(element.shadowRoot.firstElementChild);
    };
  }, []);
  return (
    <td className="overflow-hidden border-b border-[#8884] px-2 py-2 align-middle">
      {/* Whatever is clicked is styled; the card beside the sheet leads to the same parts by keyboard. */}
      <div
        ref={host}
        data-specimen={`${name} ${state}`}
        className="-m-1.5 cursor-pointer p-1.5 [contain:layout_paint]"
        onClickCapture={(event) => {
          event.preventDefault();
          event.stopPropagation();
          const [part] = partsAt(event.nativeEvent.composedPath()).filter((one) => one !== "panel");
          if (part) pick(part, statesOfPart(part).includes(state) ? state : "rest");
        }}
        onPointerDownCapture={(event) => event.preventDefault()}
      />
    </td>
  );
}
