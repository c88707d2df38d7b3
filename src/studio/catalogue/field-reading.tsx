import { useStore } from "zustand";
import { type Field, isAlwaysVariant, isDerived, isWholeText } from "../../core/catalogue/field.ts";
import { fieldKinds, fieldKindWords } from "../../core/catalogue/field-kind-words.ts";
import { isAmount, isDay, isNumeric } from "../../core/catalogue/field-kinds.ts";
import { fieldLevels } from "../../core/catalogue/field-names.ts";
import type { MendOf } from "../../core/catalogue/mend/mend-schema.ts";
import { LabelField } from "../shell/label-field.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { type FieldMend, useMender } from "./use-mender.ts";
import { dateNames, decimalNames, Pick, separatorNames } from "./writing.tsx";

/** A field's name and reading, changed by a correction that also applies to newer files. */
export function FieldReading({ field, level }: { field: Field; level: string }) {
  const { mends } = useOpenShop();
  const mender = useMender(field);
  const known = useStore(mends, ({ document }) =>
    document.mends.find((mend) => mend.kind === "field" && mend.field === field.key),
  );
  const described: FieldMend = known?.kind === "field" ? describedBy(known) : {};
  const set = (change: { [K in keyof FieldMend]?: FieldMend[K] | undefined }) => {
    const next = Object.entries({ ...described, ...change }).filter(([, value]) => value !== undefined);
    mender.describe(Object.fromEntries(next));
  };
  if (isDerived(field)) return null;
  const free = field.role === "attribute" || field.role === "type" || field.role === "tags" || field.role === "brand";
  const whole = isWholeText(field.role);
  return (
    <section
      aria-label={`How ${field.name} is read`}
      className="col-span-3 flex flex-wrap items-center gap-x-5 gap-y-2"
    >
      <span className="flex items-center gap-2">
        <span className="text-[13px] text-quiet">Name</span>
        <LabelField
          whilePaused={false}
          value={field.name}
          label={`Name of ${field.name}`}
          save={(text) => set({ name: text.trim() || undefined })}
        />
      </span>
      {free ? (
        <Pick
          label="Kind of values"
          value={described.values ?? ""}
          usual={`${fieldKindWords[field.kind].label}${described.values ? "" : ", as found"}`}
          names={Object.fromEntries(fieldKinds.map((kind) => [kind, fieldKindWords[kind].label]))}
          set={(values) => set({ values: fieldKinds.find((kind) => kind === values) })}
        />
      ) : null}
      {whole || isNumeric(field) ? null : (
        <Pick
          label="Several values are"
          value={described.separator ?? "none"}
          none="none"
          usual="as in the import"
          names={separatorNames}
          set={(separator) => set({ separator: keyOf(separatorNames, separator) })}
        />
      )}
      {isAmount(field) ? (
        <>
          <Pick
            label="Format"
            value={described.decimal ?? ""}
            usual="as in the import"
            names={decimalNames}
            set={(decimal) => set({ decimal: keyOf(decimalNames, decimal) })}
          />
          <span className="flex items-center gap-2">
            <span className="text-[13px] text-quiet">Unit</span>
            <LabelField
              whilePaused={false}
              value={field.unit ?? ""}
              fallback="none"
              label={`Unit of ${field.name}`}
              save={(text) => set({ unit: text.trim().slice(0, 20) })}
            />
          </span>
        </>
      ) : null}
      {isDay(field) ? (
        <Pick
          label="Format"
          value={described.dates ?? ""}
          usual="as in the import"
          names={dateNames}
          set={(dates) => set({ dates: keyOf(dateNames, dates) })}
        />
      ) : null}
      {whole || isAlwaysVariant(field.role) ? null : (
        <Pick
          label="Values are given per"
          value={described.level ?? ""}
          usual={`${level}${described.level ? "" : ", as found"}`}
          names={Object.fromEntries(fieldLevels.map((one) => [one, one]))}
          set={(next) => set({ level: fieldLevels.find((one) => one === next) })}
        />
      )}
      {known ? (
        <button type="button" className="link ms-auto text-[13px]" onClick={() => mender.describe({})}>
          Reset to the file
        </button>
      ) : null}
    </section>
  );
}

const describedBy = ({ id: _id, kind: _kind, field: _field, ...described }: MendOf<"field">): FieldMend => described;

const keyOf = <K extends string>(names: Readonly<Record<K, string>>, value: string): K | undefined =>
  (Object.keys(names) as K[]).find((name) => name === value);
