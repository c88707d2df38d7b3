declare module "color-name" {
  /** CSS colour name → its red, green and blue, 0 to 255. */
  const names: Readonly<Record<string, readonly [number, number, number]>>;
  export default names;
}
