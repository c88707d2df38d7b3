/** Version of the format of looks that this code writes. */
export const lookFormat = 2;
