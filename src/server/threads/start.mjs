/** Where a thread begins: it reads TypeScript only after it was told how. */
import { register } from "tsx/esm/api";

register();
export const { answer, catalogue, shop } = await import("./thread.ts");
