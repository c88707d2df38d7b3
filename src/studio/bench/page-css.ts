/** Rules and groups of rules, wherever they are nested. */
type RuleList = CSSRuleList | readonly CSSRule[];

/** Of another frame’s realm, so its constructors can’t be compared. */
const isKind = (rule: CSSRule, name: string): boolean => rule.constructor.name === name;

/** The text of the rules that apply at a page’s width, without its font faces. */
export function activeCss(page: Window): string {
  const textOf = (rules: RuleList): string =>
    [...rules]
      .map((rule) => {
        if (isKind(rule, "CSSFontFaceRule")) return "";
        if (!isKind(rule, "CSSMediaRule")) return rule.cssText;
        const { conditionText, cssRules } = rule as CSSMediaRule;
        return page.matchMedia(conditionText).matches ? textOf(cssRules) : "";
      })
      .join("\n");
  return [...page.document.styleSheets].map(({ cssRules }) => textOf(cssRules)).join("\n");
}

/** The custom properties that hold at an element, as one declaration block. */
export function customProperties(element: HTMLElement, page: Window): string {
  const style = page.getComputedStyle(element);
  const names = new Set(activeCss(page).match(/--[\w-]{1,100}/g));
  return (
    [...names]
      .map((name) => [name, style.getPropertyValue(name)] as const)
      // An empty value is not the same as none: it would hide a fallback.
      .filter(([, value]) => value !== "")
      .map(([name, value]) => `${name}: ${value};`)
      .join(" ")
  );
}

const asDataUrl = (blob: Blob): Promise<string> =>
  new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(reader.error);
    reader.readAsDataURL(blob);
  });

/** The font faces that a page has loaded, with their files inside. */
export async function loadedFonts(page: Window): Promise<string> {
  const nameOf = (family: string, weight: string, range: string) => `${family.replace(/["']/g, "")} ${weight} ${range}`;
  const loaded = new Set(
    [...page.document.fonts]
      .filter(({ status }) => status === "loaded")
      .map(({ family, weight, unicodeRange }) => nameOf(family, weight, unicodeRange)),
  );
  const rules = [...page.document.styleSheets]
    .flatMap(({ cssRules }) => [...cssRules])
    .filter((rule): rule is CSSFontFaceRule => isKind(rule, "CSSFontFaceRule"))
    .filter(({ style }) => {
      const [family, weight, range] = ["font-family", "font-weight", "unicode-range"].map((one) =>
        style.getPropertyValue(one),
      );
      return loaded.has(nameOf(family ?? "", weight || "normal", range || "U+0-10FFFF"));
    });
  const inside = rules.map(async ({ cssText }) => {
    const [, after = ""] = cssText.split('url("', 2);
    const [address = ""] = after.split('"', 1);
    if (address === "") return cssText;
    const file = await fetch(new URL(address, page.location.href));
    return cssText.replace(address, await asDataUrl(await file.blob()));
  });
  return (await Promise.all(inside)).join("\n");
}
