/** The most of script that is aimed at, for six displays with the engine, in bytes gzipped. */
export const scriptAim = 20_000;
