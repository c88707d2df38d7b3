import {
  Funnel,
  type IconNode,
  ListFilter,
  Menu,
  Palette,
  Ruler,
  Search,
  SlidersHorizontal,
  SlidersVertical,
  Tag,
} from "lucide";
import type { Behaviour } from "../../core/settings/behaviour.ts";

/** The icons for a panel's button, by name, as SVG shapes in a box of 24 by 24. */
export const buttonIconPaths: Readonly<Record<Exclude<Behaviour["buttonIcon"], "none" | "own">, IconNode>> = {
  lines: ListFilter,
  funnel: Funnel,
  sliders: SlidersHorizontal,
  upright: SlidersVertical,
  menu: Menu,
  search: Search,
  tag: Tag,
  palette: Palette,
  ruler: Ruler,
};
