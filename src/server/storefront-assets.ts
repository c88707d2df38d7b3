import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** Addresses of the storefront's scripts. */
export interface StorefrontAssets {
  script: string;
  /** The shared chunk, and the additional script of the designer's stage, if built. */
  shared?: string;
  stage?: string;
  /** The additional script of shared previews. */
  notes?: string;
  /** They come from Vite's development server, which notifies pages of changes by a socket. */
  development?: boolean;
}

/** The latest build's files, from its manifest; without a build, pages are drawn without a script. */
export function storefrontAssets(root: string): StorefrontAssets {
  const path = join(root, "dist/storefront/names.json");
  const names: Record<string, string> = existsSync(path) ? JSON.parse(readFileSync(path, "utf8")) : {};
  const at = (name: string) => `/storefront/${names[name] ?? `${name}.js`}`;
  return { script: at("page"), shared: at("shared"), stage: at("stage"), notes: at("notes") };
}
export const developmentAssets = (root: string): StorefrontAssets => ({
  script: `/@fs${root}/src/storefront/shop/page.tsx`,
  notes: `/@fs${root}/src/storefront/notes/notes.tsx`,
  development: true,
});
