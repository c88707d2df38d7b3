/**
 * A style sheet in which states can be held open, for showing them side by side: what holds while something is
 * pointed at or focused also holds where an element says so by `data-held`.
 */
export const withHeldStates = (css: string): string =>
  css
    .replaceAll(":has(:focus-visible)", ':is(:has(:focus-visible), [data-held~="within"])')
    .replaceAll(/:hover(?![\w-])/g, ':is(:hover, [data-held~="hovered"])')
    .replaceAll(/(?<!:has\():focus-visible(?!\))/g, ':is(:focus-visible, [data-held~="focused"])')
    .replaceAll(":where(:focus-visible)", ':where(:focus-visible, [data-held~="focused"])');
