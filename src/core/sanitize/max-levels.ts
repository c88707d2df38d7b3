/**
 * Maximum number of levels of a category path; deeper ones are ignored. In its own file, so that pages need not load
 * all limits.
 */
export const maxLevels = 50;
