import { pageList } from "../../page/page-list.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** Two pages with the same address: the second cannot be reached. */
export const addressTwice: PageFindingKind = {
  name: "address-twice",
  level: "error",
  find({ page, pages, pageFacts }) {
    const same = pageList(pages, pageFacts).filter(({ address }) => address === page.address);
    return same.length > 1
      ? [
          {
            words: `${same.length} pages would be at ${page.address}: ${same.map(({ name }) => name).join(", ")}. Only the first can be reached.`,
          },
        ]
      : [];
  },
};
