import { createContext } from "preact";
import type { Act } from "../../core/page/browse-state/browse-state.ts";

/** The number of products after an act. @param panel slug of the panel in which it would be performed */
export type Peek = (panel: string, act: Act) => number | Promise<number>;

/** Provides the function to displays; absent while rendering on the server. */
export const PeekContext = createContext<Peek | undefined>(undefined);
