/** Levels of a category path that are options; deeper ones are not. By itself, so that pages do not load all limits. */
export const maxLevels = 50;
