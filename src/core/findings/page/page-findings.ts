import { addressTwice } from "./address-twice.ts";
import { askedTwoWays } from "./asked-two-ways.ts";
import { conditionGone } from "./condition-gone.ts";
import { emptyPage } from "./empty-page.ts";
import { facetNotHere } from "./facet-not-here.ts";
import { linkNowhere } from "./link-nowhere.ts";
import { lowReachHere } from "./low-reach-here.ts";
import { noPhonePanel } from "./no-phone-panel.ts";
import type { PageContext, PageFinding, PageFindingKind } from "./page-finding.ts";
import { panelGone } from "./panel-gone.ts";
import { sendsNowhere } from "./sends-nowhere.ts";
import { tallBars } from "./tall-bars.ts";
import { tallOffset } from "./tall-offset.ts";
import { unreachedSlot } from "./unreached-slot.ts";

/** Every kind of finding about a page, in display order. */
export const pageFindingKinds: readonly PageFindingKind[] = [
  emptyPage,
  addressTwice,
  conditionGone,
  panelGone,
  sendsNowhere,
  unreachedSlot,
  noPhonePanel,
  linkNowhere,
  askedTwoWays,
  facetNotHere,
  lowReachHere,
  tallBars,
  tallOffset,
];

/** All problems and risks of a page. */
export const findPageFindings = (context: PageContext): PageFinding[] =>
  pageFindingKinds.flatMap(({ name: kind, level, find }) => find(context).map((one) => ({ kind, level, ...one })));
