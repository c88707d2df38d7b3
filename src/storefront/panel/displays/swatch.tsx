import type { FacetSettings } from "../../../core/settings/settings.ts";
import type { SwatchView } from "../../../core/swatch/view.ts";
import type { DisplayProps } from "./display-props.ts";

/** The swatch of an option: its picture or colours, or a hatched mark if unknown. Never a blank dot. */
export function Swatch({ swatch, settings: { shape, edge }, class: name }: SwatchProps) {
  const outlined = edge === "all" || (edge === "auto" && (!swatch?.colours || swatch.outline === true));
  const same = {
    class: name,
    "data-shape": shape === "look" ? undefined : shape,
    "data-outlined": outlined || undefined,
  };
  if (swatch?.picture) return <img {...same} src={swatch.picture} alt="" decoding="async" />;
  return (
    <span
      {...same}
      data-unknown={swatch?.colours ? undefined : ""}
      data-painted={swatch?.colours ? "" : undefined}
      style={swatch?.colours ? { "--paint": paint(swatch) } : undefined}
    />
  );
}

interface SwatchProps {
  swatch: SwatchView | undefined;
  settings: Pick<FacetSettings, "shape" | "edge">;
  class: string;
}

/** A class name that marks pictures as logos, which are shown uncropped, with a leading space. */
export const logosOf = ({ field }: Pick<DisplayProps, "field">): string => (field.role === "brand" ? " zt-logos" : "");

/** A facet's own size and gap of swatches, as custom properties. */
export const swatchStyle = ({ size, gap }: Pick<FacetSettings, "size" | "gap">) => ({
  "--own": size === null ? undefined : `${size}px`,
  "--own-gap": gap === null ? undefined : `${gap}px`,
});

/** A single colour, or several as equal sectors or stripes. */
export function paint({ colours = [], drawing = "sectors" }: SwatchView): string {
  if (colours.length < 2) return colours[0] ?? "";
  const share = 100 / colours.length;
  const stops = colours.map((colour, i) => `${colour} ${i * share}% ${(i + 1) * share}%`).join(", ");
  return drawing === "stripes" ? `linear-gradient(to right, ${stops})` : `conic-gradient(from 45deg, ${stops})`;
}

/** The accessible name of an option's swatch. */
export const spokenName = ({ label, swatch }: { label: string; swatch: SwatchView | undefined }): string =>
  swatch?.alt ?? label;
