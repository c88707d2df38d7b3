import { HandoffFault } from "./faults.ts";
import { HandoffFiles } from "./files.ts";
import { dataOf } from "./island-of.ts";
import { folderOf, type PieceList, pieceIn } from "./wire.ts";

let scriptPlace = "";
/** Sets the place of the running script, where an element with a name finds its markup. */
export const putScriptPlace = (place: string): void => {
  scriptPlace = place;
};

/** The elements of a page that are being filled: they are shown together, so that one does not move another. */
const filling = new Set<Promise<unknown>>();

/**
 * Fills an element that has only a name with its current markup, for the page it is on.
 * @param piece name of the markup: a panel’s slug, or `listing`
 * @throws HandoffFault
 */
export async function fillElement(element: HTMLElement, piece: string): Promise<void> {
  const task = prepare(element, piece);
  filling.add(task);
  try {
    const show = await task;
    await Promise.allSettled(filling);
    show();
  } finally {
    filling.delete(task);
  }
}

/** Fetches an element's markup. @returns what puts it in */
async function prepare(element: HTMLElement, piece: string): Promise<() => void> {
  const files = HandoffFiles.at(scriptPlace);
  const pages = await files.pieces();
  const given = pageOf(element);
  const address = given ?? pageAt(decodeURI(location.pathname), piece, pages);
  const name = address === undefined ? piece : spokenPiece(element, piece, Object.keys(pages[address] ?? {}));
  const version = address === undefined ? undefined : pages[address]?.[name];
  if (address === undefined || version === undefined)
    throw new HandoffFault(
      "markup",
      given === null
        ? `The handoff has no panel “${piece}”. It has ${namesIn(pages).join(", ")}.`
        : `The handoff has no “${piece}” for the page “${given}”. Check the attribute page.`,
    );
  const [html] = await Promise.all([files.markup(`${folderOf(address)}/${name}.html?${version}`), styled()]);
  const holder = document.createElement("template");
  holder.innerHTML = html;
  const drawn = holder.content.firstElementChild;
  if (!drawn) throw new HandoffFault("markup", `The markup of “${piece}” is empty. Copy the whole folder again.`);
  return () => {
    for (const { name, value } of drawn.attributes) if (!element.hasAttribute(name)) element.setAttribute(name, value);
    // The files are where the script is, whatever the handoff was made for.
    const data = drawn.querySelector(dataOf);
    if (data) data.textContent = JSON.stringify({ ...JSON.parse(data.textContent ?? "{}"), at: scriptPlace });
    const own = element.querySelector(":scope > template");
    if (own) {
      // The site has brought its own card, so those that were drawn with another are left out.
      drawn.querySelector(":scope > template")?.replaceWith(own);
      drawn.querySelector("[data-trellis-cards]")?.replaceChildren();
    }
    element.replaceChildren(...drawn.childNodes);
  };
}

/**
 * The name of a piece in the language of an element: that of its attribute `language`, otherwise of the page around it;
 * in the shop's own if the handoff has neither that language nor its first part.
 */
function spokenPiece(element: HTMLElement, piece: string, names: readonly string[]): string {
  const tag = element.getAttribute("language") ?? element.closest("[lang]")?.getAttribute("lang") ?? "";
  const wanted = [tag, tag.split("-")[0] ?? ""].map((one) => pieceIn(piece, one).toLowerCase());
  return wanted.flatMap((one) => names.find((name) => name.toLowerCase() === one) ?? [])[0] ?? piece;
}

/** The page named by an element, or by another of its group; null if none is. */
function pageOf(element: HTMLElement): string | null {
  const own = element.getAttribute("page");
  if (own !== null) return own;
  const others = [...document.querySelectorAll("trellis-panel[page], trellis-listing[page]")];
  const group = element.getAttribute("group");
  return others.find((one) => one.getAttribute("group") === group)?.getAttribute("page") ?? null;
}

/**
 * The page of a shop with a piece that an address of a site is most likely to be: the one whose own address ends it, the
 * longest such, otherwise the page of the whole shop, otherwise the first. Undefined if no page has the piece.
 */
export function pageAt(path: string, piece: string, pages: PieceList): string | undefined {
  const having = Object.keys(pages).filter((address) => pages[address]?.[piece] !== undefined);
  const place = path.replace(/(?:\/index)?(?:\.\w+)?\/?$/, "");
  const fitting = having.filter((address) => address !== "/" && place.endsWith(address));
  return fitting.sort((a, b) => b.length - a.length)[0] ?? having.find((address) => address === "/") ?? having[0];
}

const namesIn = (pages: PieceList): string[] => [
  ...new Set(
    Object.values(pages).flatMap((pieces) =>
      Object.keys(pieces).filter((name) => name !== "listing" && !name.includes(".")),
    ),
  ),
];

/** Resolves when the handoff's style sheet has loaded, so that nothing is shown without it. */
function styled(): Promise<void> {
  const link = [...document.querySelectorAll<HTMLLinkElement>('link[rel="stylesheet"]')].find(
    ({ href, sheet }) => href.startsWith(scriptPlace) && !sheet,
  );
  if (!link) return Promise.resolve();
  return new Promise((done) => {
    for (const event of ["load", "error"]) link.addEventListener(event, () => done(), { once: true });
  });
}
