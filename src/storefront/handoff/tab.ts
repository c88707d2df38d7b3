const tabName = "trellis-tab";

/** Whether the shopper has said that nothing shall be told of them. */
export function wantsPrivacy(): boolean {
  const { doNotTrack, globalPrivacyControl } = navigator as Navigator & { globalPrivacyControl?: boolean };
  return globalPrivacyControl === true || doNotTrack === "1";
}

/** The number of this tab, forgotten with it; undefined if the browser keeps none. */
export function tabNumber(): string | undefined {
  try {
    const known = sessionStorage.getItem(tabName) ?? crypto.randomUUID().slice(0, 18);
    sessionStorage.setItem(tabName, known);
    return known;
  } catch {
    return undefined;
  }
}

/** Where the tab's number is between 0 and 1: the same for its whole life. */
export const tabFraction = (tab: string): number => Number.parseInt(tab.slice(0, 8), 16) / 2 ** 32;
