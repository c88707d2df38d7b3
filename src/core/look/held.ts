/**
 * A style sheet in which states can be forced, to show them side by side: `:hover` and `:focus` rules also apply to
 * elements with `data-held`.
 */
export const withHeldStates = (css: string): string =>
  css
    .replaceAll(":has(:focus-visible)", ':is(:has(:focus-visible), [data-held~="within"])')
    .replaceAll(/:hover(?![\w-])/g, ':is(:hover, [data-held~="hovered"])')
    .replaceAll(/(?<!:has\():focus-visible(?!\))/g, ':is(:focus-visible, [data-held~="focused"])')
    .replaceAll(":where(:focus-visible)", ':where(:focus-visible, [data-held~="focused"])');
