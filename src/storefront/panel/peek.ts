import { createContext } from "preact";
import type { Act } from "../../core/page/browse-state/browse-state.ts";

/** How many products an act would lead to. @param panel slug of the panel that it would be done in */
export type Peek = (panel: string, act: Act) => number | Promise<number>;

/** Where displays find it; absent if nobody asks, as while a page is drawn on the server. */
export const PeekContext = createContext<Peek | undefined>(undefined);
