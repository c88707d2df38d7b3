import { type LookValues, valueOn } from "../../core/look/resolve.ts";

/** A thumbnail of a look: its background, a box, a line of text and its accent. */
export function LookGlyph({ look }: { look: LookValues }) {
  const colour = (name: string) => String(valueOn(look, name) ?? "#888888");
  const length = (name: string) => Number(valueOn(look, name) ?? 0);
  return (
    <span
      aria-hidden
      className="grid h-11 w-14 flex-none content-center gap-1 border border-hair px-2"
      style={{ background: colour("ground.page"), borderRadius: Math.min(12, length("radius.large")) }}
    >
      <span
        className="text-[13px] leading-none"
        style={{
          color: colour("ink"),
          fontFamily: String(valueOn(look, "text.font")),
          fontWeight: length("text.strong"),
        }}
      >
        Aa
      </span>
      <span className="flex items-center gap-1">
        <span
          className="size-2.5"
          style={{ background: colour("accent"), borderRadius: Math.min(5, length("box.radius")) }}
        />
        <span
          className="h-2.5 flex-1 border"
          style={{
            borderColor: colour("tile.edge"),
            background: colour("tile.ground"),
            borderRadius: Math.min(6, length("tile.radius")),
          }}
        />
      </span>
    </span>
  );
}
