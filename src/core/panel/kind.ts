import type { DocumentKind, OldDocument } from "../document/kind.ts";
import { olderValues } from "../look/older-values.ts";
import { panelDifferences } from "./differences.ts";
import { emptyPanel } from "./panel.ts";
import { panelFormat } from "./panel-format.ts";
import { type PanelDocument, panelSchema } from "./panel-schema.ts";

type OldRow = Record<string, unknown>;
const rowsOf = ({ rows }: OldDocument): OldRow[] => (Array.isArray(rows) ? rows : []);
const isObject = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;
const mapped = (value: unknown, change: (one: unknown) => unknown) =>
  isObject(value) ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, change(one)])) : value;

/** Format 1 had five settings outside `settings`, and one display called “slider” that had inputs. */
function fromFirst(panel: OldDocument): OldDocument {
  const usual: Record<string, unknown> = { start: "open", counting: "live", deadEnd: "fade", order: "count" };
  const rows = rowsOf(panel).map((row) => {
    if (row.kind !== "facet") return row;
    const { start, counting, deadEnd, order, foldAfter, ...facet } = row;
    const given = Object.entries({ start, counting, deadEnd, order }).filter(
      ([name, value]) => value !== undefined && value !== usual[name],
    );
    const fold = foldAfter === undefined || foldAfter === 8 ? {} : { foldAfter: { wide: foldAfter } };
    const display = mapped(facet.display, (name) => (name === "slider" ? "slider-inputs" : name));
    return { ...facet, display, settings: { ...Object.fromEntries(given), ...fold } };
  });
  return { ...panel, format: 2, languages: [], rows };
}

/** Format 2 called price ranges bands, and each panel had band limits and languages, which now belong to the shop. */
function fromSecond({ limits: _limits, languages: _languages, ...panel }: OldDocument): OldDocument {
  const names = { banding: "rangeBy", bandCount: "rangeCount", bandLimits: "rangeLimits" };
  const rows = withSettingsRenamed(panel, names).map((row) =>
    row.kind === "facet"
      ? { ...row, display: mapped(row.display, (name) => (name === "bands" ? "price-ranges" : name)) }
      : row,
  );
  return { ...panel, format: 3, rows };
}

/**
 * In format 3 a panel that sent choices to another page always had a button; one without a button now sends them at
 * once. A row's overrides were as in the first format of looks.
 */
function fromThird(panel: OldDocument): OldDocument {
  const { behaviour } = panel;
  const rows = rowsOf(panel).map((row) => (isObject(row.look) ? { ...row, look: olderValues(row.look) } : row));
  const sends = isObject(behaviour) && behaviour.sendTo !== undefined && behaviour.sendTo !== "";
  return {
    ...panel,
    format: 4,
    rows,
    ...(sends ? { behaviour: { ...behaviour, apply: { wide: "button" } } } : {}),
  };
}

/** In format 4 three settings had other names. */
function fromFourth(panel: OldDocument): OldDocument {
  return {
    ...panel,
    format: 5,
    rows: withSettingsRenamed(panel, { deadEnd: "emptyOptions", least: "min", most: "max" }),
  };
}

/** A panel's rows with settings renamed. @param names new names by old name */
const withSettingsRenamed = (panel: OldDocument, names: Readonly<Record<string, string>>): OldRow[] =>
  rowsOf(panel).map((row) =>
    isObject(row.settings)
      ? {
          ...row,
          settings: Object.fromEntries(
            Object.entries(row.settings).map(([name, value]) => [names[name] ?? name, value]),
          ),
        }
      : row,
  );

/** Filter panels. */
export const panelKind: DocumentKind<PanelDocument, true, "panels"> = {
  name: "panel",
  what: "panel",
  title: "A filter panel",
  heading: "Panel",
  member: "panels",
  many: true,
  format: panelFormat,
  schema: panelSchema,
  migrations: { 1: fromFirst, 2: fromSecond, 3: fromThird, 4: fromFourth },
  fresh: emptyPanel,
  touches: [],
  differences: panelDifferences,
};
