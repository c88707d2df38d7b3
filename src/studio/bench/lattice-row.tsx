import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { ChevronDown, GripVertical } from "lucide-react";
import { memo, useCallback } from "react";
import type { PreviewNote } from "../../core/api/preview.ts";
import type { FacetAnswer } from "../../core/engine/answer.ts";
import { visitsWord } from "../../core/findings/visit-use.ts";
import { setLabel } from "../../core/panel/edit.ts";
import { offeredOptions, shownOn } from "../../core/panel/offered.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { FacetRow, Row } from "../../core/panel/panel-schema.ts";
import { pieceOf } from "../../core/panel/pieces.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { bands } from "../../core/settings/band.ts";
import { Opens } from "../numbers/opens.tsx";
import { RowNotes } from "../previews/row-notes.tsx";
import { LabelField } from "../shell/label-field.tsx";
import { percent } from "../shell/percent.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";
import { Cell } from "./cell.tsx";
import { choose } from "./chosen-rows.ts";
import { columns } from "./columns.ts";
import { linesOf, reachOf } from "./facet-table.tsx";
import { PieceSettings } from "./piece-settings.tsx";
import { Reach } from "./reach.tsx";
import { RowMenu } from "./row-menu.tsx";
import { RowSettings } from "./row-settings.tsx";

/** One facet or piece: handle, label, reach, and its display on each band. Rerendered only when it changes itself. */
export const LatticeRow = memo(DrawnRow);

function DrawnRow({ row, pointed }: { row: Row; pointed: boolean }) {
  const { fieldOf } = useOpenShop();
  const { session } = useBench();
  const unfolded = useSession((state) => state.unfolded === row.id);
  const chosen = useSession((state) => state.chosen.includes(row.id));
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
  });
  const title = rowTitle(row, fieldOf);
  const ground = isDragging
    ? "z-10 bg-base-100 shadow-lg"
    : chosen
      ? "bg-accent/25"
      : pointed
        ? "bg-accent/15"
        : unfolded
          ? "bg-plum-soft"
          : "hover:bg-sand/60";

  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-row={row.id}
      className={`group relative border-b border-hair ${ground}`}
      onPointerEnter={() => session.setState({ marked: row.id })}
      onFocus={() => session.setState({ marked: row.id })}
    >
      <div className={`${columns} min-h-[50px] py-1`}>
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${title}`}
          title="Drag to move; Ctrl-click to select several"
          className="grid h-9 cursor-grab place-items-center text-base-content/45 hover:text-base-content"
          onClick={(event) => {
            if (event.ctrlKey || event.metaKey || event.shiftKey) choose(session, row.id);
          }}
        >
          <GripVertical size={16} aria-hidden />
        </button>
        <RowParts row={row} title={title} unfolded={unfolded} />
      </div>
      {unfolded ? (
        isFacet(row) ? (
          <RowSettings row={row} title={title} />
        ) : (
          <PieceSettings row={row} title={title} />
        )
      ) : null}
    </li>
  );
}

/** Everything except the handle. Not rerendered while rows are dragged. */
const RowParts = memo(function RowParts({ row, title, unfolded }: { row: Row; title: string; unfolded: boolean }) {
  const { profileOf, shop } = useOpenShop();
  const { panel, session, slug } = useBench();
  const ofRow = useCallback(({ place }: PreviewNote) => place.panel === slug && place.row === row.id, [slug, row.id]);
  const changed = isFacet(row) ? Object.keys(row.settings).length + (row.options ? 1 : 0) + apartOf(row) : 0;
  return (
    <>
      <div className="min-w-0">
        <div className="flex items-center font-medium leading-tight">
          <LabelField
            value={row.label}
            fallback={title}
            label={`Label of ${title}`}
            save={(label) => panel.getState().apply(setLabel(row.id, label, title))}
          />
          <span className="ms-auto flex items-center">
            <RowNotes shop={shop.slug} about={title} belongs={ofRow} />
            {changed > 0 ? (
              <span
                className="px-1 text-[12px] whitespace-nowrap text-quiet tabular-nums group-has-[[data-notes]]:hidden max-sm:hidden"
                title={`${changed} not at their default`}
              >
                {changed} changed
              </span>
            ) : null}
            <span className="flex opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
              <button
                type="button"
                className="grid size-6 place-items-center rounded-md text-quiet hover:bg-base-100 hover:text-base-content"
                aria-expanded={unfolded}
                aria-label={`Settings of ${title}`}
                title="Settings"
                onClick={() => session.setState({ unfolded: unfolded ? undefined : row.id })}
              >
                <ChevronDown size={15} aria-hidden className={unfolded ? "rotate-180" : ""} />
              </button>
              <RowMenu row={row} title={title} />
            </span>
          </span>
        </div>
        {isFacet(row) ? (
          <FacetLine row={row} profile={profileOf(row.field)} />
        ) : (
          <span className="text-[13px] text-quiet">
            {title.startsWith(pieceOf(row.piece).label) ? "piece" : pieceOf(row.piece).label.toLowerCase()}
          </span>
        )}
      </div>
      {isFacet(row) ? (
        bands.map((band) => <Cell key={band} row={row} band={band} title={title} />)
      ) : (
        <span className="band-cell col-span-3 text-center text-[13px] text-quiet">the same on every band</span>
      )}
    </>
  );
});

/** A facet's reach on the stage's page. */
function FacetLine({
  row,
  profile,
}: {
  row: Extract<Row, { kind: "facet" }>;
  profile: Parameters<typeof Reach>[0]["profile"] | undefined;
}) {
  const { session } = useBench();
  const reach = useSession(({ answer, reaches }) => (answer?.facets[row.field] ? reaches.get(row.id) : undefined));
  const outOf = useSession(({ answer }) => answer?.outOf);
  const options = useSession(({ answer }) => offeredIn(row, answer?.facets[row.field]));
  const min = useSession(({ answer }) => answer?.facets[row.field]?.range?.steady.min);
  const max = useSession(({ answer }) => answer?.facets[row.field]?.range?.steady.max);
  if (!profile) return <span className="text-[13px] text-error">the catalogue doesn’t have this field</span>;
  const here = {
    ...profile,
    ...(reach === undefined || outOf === undefined ? {} : { reach, outOf }),
    ...(options === undefined ? {} : { options }),
    ...(min === undefined || max === undefined ? {} : { min, max }),
  };
  const line = <Reach profile={here} mode={row.mode} />;
  if (reach === undefined || outOf === undefined) return line;
  const opened = () => {
    const { answer, asked, reaches } = session.getState();
    const mine = answer && asked && linesOf({ rows: [row] }, answer, reaches, asked).at(0);
    return {
      ...reachOf(mine?.title ?? profile.field.name, reach, outOf, mine?.ways() ?? []),
      change: { words: "Change which options it offers", act: () => session.setState({ unfolded: row.id }) },
    };
  };
  return (
    <>
      <Opens number={opened} className="block w-full overflow-hidden text-start">
        {line}
      </Opens>
      <UseLine field={row.field} />
    </>
  );
}

/** How many real shoppers of the stage's page used a facet, if any saw it there. */
function UseLine({ field }: { field: string }) {
  const visits = useSession(({ use }) => use?.visits);
  const called = useSession(({ use }) => use && visitsWord(use));
  const used = useSession(({ use }) => use?.fields.get(field)?.used);
  if (visits === undefined || used === undefined) return null;
  const share = percent(used, visits);
  return (
    <span
      className="flex items-center gap-1.5 text-[13px] leading-tight text-quiet tabular-nums"
      title={`${used.toLocaleString("en")} of ${visits.toLocaleString("en")} ${called} to this page chose something here.`}
    >
      <span className="h-1 w-11 flex-none overflow-hidden rounded-full bg-base-300" aria-hidden>
        <span className="block h-full bg-primary" style={{ width: `${(used / visits) * 100}%` }} />
      </span>
      <span className="truncate">
        {share} of {called}
      </span>
    </span>
  );
}

/** Number of options that a facet offers on the page; undefined for a range. */
const offeredIn = (row: FacetRow, found: FacetAnswer | undefined): number | undefined =>
  found && !found.range ? offeredOptions(row, shownOn(row, "wide"), found).length : undefined;

/** Number of a facet's overrides of its panel’s look. */
const apartOf = ({ style, look }: FacetRow): number => (style ? 1 : 0) + Object.keys(look ?? {}).length;
