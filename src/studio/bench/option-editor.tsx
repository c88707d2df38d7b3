import { arrayMove, useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, Split } from "lucide-react";
import { useState } from "react";
import { identity } from "../../core/catalogue/identity.ts";
import { words } from "../../core/index/words.ts";
import { type FacetRow, rulesOf } from "../../core/panel/document.ts";
import { setOptions, setSetting, together } from "../../core/panel/edit.ts";
import { orderOptions } from "../../core/panel/option-order.ts";
import { engineMerges, isShown, type NamedValue, type OptionRules, staleValues, withoutValues } from "../../core/panel/options.ts";
import { settingOn } from "../../core/panel/settings.ts";
import { LabelField } from "../shell/label-field.tsx";
import { useAnswer } from "../shell/shop-context.ts";
import { SortableList } from "../shell/sortable-list.tsx";
import { useBench, usePanel } from "./bench-context.ts";
import { Choice } from "./choice.tsx";

const most = 200;
const news: Record<OptionRules["show"], string> = {
  all: "Values that come later show up by themselves.",
  only: "Values that come later stay out until you pick them.",
  except: "Values that come later show up by themselves.",
};

interface Listed extends NamedValue {
  /** What the catalogue calls it. */
  original: string;
}

/** Which options shoppers get, what they are called, which are one, and in what order they stand. */
export function OptionEditor({ row, title }: { row: FacetRow; title: string }) {
  const store = useBench().panel;
  const languages = usePanel((state) => state.document.languages);
  const [language, setLanguage] = useState("");
  const [asked, setAsked] = useState("");
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const rules = rulesOf(row);
  const base = { selection: { text: "", choices: {} }, sort: "", from: 0, size: 0 };
  const { field, mode } = row;
  const plain = useAnswer({ ...base, facets: [{ field, mode }] })?.facets[field];
  const answer = useAnswer({ ...base, facets: [{ field, mode, merges: engineMerges(rules) }] })?.facets[field];
  if (!answer || !plain) return <p className="px-9 text-quiet">Looking at the options …</p>;

  const order = settingOn(row.settings, "order", "wide");
  const places = orderOptions(answer.options, answer.counts.steady, order, rules.byHand);
  const all = places.map((o): Listed => {
    const { id, label } = answer.options[o];
    return { id, label: rules.labels[id]?.text || label, original: label, products: answer.counts.steady[o] };
  });
  const shown = all.filter(({ label }) => words(asked).every((word) => words(label).some((one) => one.startsWith(word)))).slice(0, most);
  const stated = new Set([...plain.options, ...answer.options].map(({ id }) => id));
  const stale = staleValues(rules, (id) => stated.has(id));
  const change = (next: OptionRules, what: string) => store.getState().apply(setOptions(row, next, `${title}: ${what}`));
  const value = ({ id, original, products }: Listed): NamedValue => ({ id, label: original, products });
  const chosen = all.filter(({ id }) => ticked.includes(id));

  /** Taking the first one out of all of them makes it “all but”. */
  const flip = (option: Listed, on: boolean) => {
    const show = rules.show === "all" ? "except" : rules.show;
    const listed = on === (show === "only");
    const picked = listed ? [...rules.picked, value(option)] : rules.picked.filter(({ id }) => id !== option.id);
    change({ ...rules, show: picked.length === 0 && show === "except" ? "all" : show, picked }, `${on ? "show" : "leave out"} ${option.label}`);
  };
  const rename = (option: Listed, text: string) => {
    const before = rules.labels[option.id] ?? { text: "" };
    const next = language === "" ? { ...before, text: text.trim() } : { ...before, others: { ...before.others, [language]: text.trim() } };
    const others = Object.fromEntries(Object.entries(next.others ?? {}).filter(([, one]) => one !== ""));
    const { [option.id]: _old, ...rest } = rules.labels;
    const kept = next.text === "" && Object.keys(others).length === 0;
    const words = { text: next.text, ...(Object.keys(others).length > 0 ? { others } : {}) };
    change({ ...rules, labels: kept ? rest : { ...rest, [option.id]: words } }, `call ${option.original} “${text.trim()}”`);
  };
  const merge = () => {
    const [first] = chosen;
    const values = chosen.flatMap((option) => rules.merges.find(({ label }) => identity(label) === option.id)?.values ?? [value(option)]);
    const ids = new Set(chosen.map(({ id }) => id));
    const merges = rules.merges.filter(({ label }) => !ids.has(identity(label)));
    change({ ...rules, merges: [...merges, { label: first.label, values }] }, `merge ${chosen.map(({ label }) => label).join(", ")}`);
    setTicked([]);
  };
  const part = (option: Listed) =>
    change({ ...rules, merges: rules.merges.filter(({ label }) => identity(label) !== option.id) }, `part ${option.label} again`);
  const move = (id: string, onto: string) => {
    const ids = all.map((option) => option.id);
    const [from, to] = [ids.indexOf(id), ids.indexOf(onto)];
    const words = `${title}: move ${all[from].label}`;
    store
      .getState()
      .apply(together(words, [setOptions(row, { ...rules, byHand: arrayMove(ids, from, to) }, words), setSetting(row.id, "order", "hand", title)]));
  };

  return (
    <div className="grid gap-2 px-9">
      <Choice
        label="Which options"
        value={rules.show}
        options={[
          { value: "all", label: "all" },
          { value: "only", label: "only picked" },
          { value: "except", label: "all but some" },
        ]}
        set={(show) =>
          change(
            // What is in sight stays in sight when the rule is turned round.
            { ...rules, show, picked: show === "all" ? [] : all.filter(({ id }) => isShown(rules, id) === (show === "only")).map(value) },
            { all: "all options", only: "only picked options", except: "all options but some" }[show],
          )
        }
      />
      <p className="text-[12px] text-quiet">{news[rules.show]}</p>
      <div className="flex items-center gap-2">
        <input
          type="search"
          className="input input-xs w-32"
          placeholder="Find"
          aria-label={`Find an option of ${title}`}
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
        />
        {languages.length > 0 ? (
          <select className="select select-xs w-24" aria-label="Labels in" value={language} onChange={(event) => setLanguage(event.target.value)}>
            <option value="">own</option>
            {languages.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>
        ) : null}
        <button type="button" className="btn btn-xs ms-auto" disabled={chosen.length < 2} onClick={merge}>
          {chosen.length < 2 ? "Merge" : `Merge ${chosen.length} into “${chosen[0].label}”`}
        </button>
      </div>
      <SortableList ids={shown.map(({ id }) => id)} titleOf={(id) => all.find((option) => option.id === id)?.label ?? id} move={move}>
        <ul className="max-h-72 overflow-auto" aria-label={`Options of ${title}`}>
          {shown.map((option) => (
            <OptionLine
              key={option.id}
              option={option}
              shown={isShown(rules, option.id)}
              text={language === "" ? option.label : (rules.labels[option.id]?.others?.[language] ?? "")}
              merged={rules.merges.find(({ label }) => identity(label) === option.id)?.values.map(({ label }) => label)}
              ticked={ticked.includes(option.id)}
              tick={() => setTicked(ticked.includes(option.id) ? ticked.filter((id) => id !== option.id) : [...ticked, option.id])}
              flip={(on) => flip(option, on)}
              rename={(text) => rename(option, text)}
              part={() => part(option)}
            />
          ))}
        </ul>
      </SortableList>
      {all.length > shown.length ? (
        <p className="text-[12px] text-quiet">{(all.length - shown.length).toLocaleString("en")} more; find them by name</p>
      ) : null}
      {stale.length > 0 ? (
        <p className="text-[12px] text-error">
          No product states {stale.map(({ label, products }) => (products > 0 ? `${label} (once ${products})` : label)).join(", ")}.{" "}
          <button
            type="button"
            className="link"
            onClick={() => change(withoutValues(rules, new Set(stale.map(({ id }) => id))), "forget what is gone")}
          >
            Forget
          </button>
        </p>
      ) : null}
    </div>
  );
}

interface LineProps {
  option: Listed;
  shown: boolean;
  /** What shoppers read, in the language that is edited. */
  text: string;
  /** Values that it is made of. */
  merged: string[] | undefined;
  ticked: boolean;
  tick(): void;
  flip(on: boolean): void;
  rename(text: string): void;
  part(): void;
}

function OptionLine({ option, shown, text, merged, ticked, tick, flip, rename, part }: LineProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: option.id });
  const { label, original, products } = option;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1.5 py-0.5 text-[13px] ${isDragging ? "relative z-10 bg-base-100 shadow-lg" : ""} ${ticked ? "bg-accent/20" : ""}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${label}`}
        className="grid h-6 w-5 cursor-grab place-items-center text-base-content/45 hover:text-base-content"
      >
        <GripVertical size={13} aria-hidden />
      </button>
      <input
        type="checkbox"
        className="checkbox checkbox-xs"
        aria-label={`Show ${label}`}
        title="Shown to shoppers"
        checked={shown}
        onChange={(event) => flip(event.target.checked)}
      />
      <span className={`min-w-0 flex-1 truncate ${shown ? "" : "line-through opacity-60"}`}>
        <LabelField value={text} fallback={label} label={`Name of ${original}`} save={rename} />
        {merged ? <span className="ps-1 text-[12px] text-quiet">= {merged.join(", ")}</span> : null}
        {label !== original ? <span className="ps-1 text-[12px] text-quiet">is {original}</span> : null}
      </span>
      {merged ? (
        <button
          type="button"
          className="grid size-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Part ${label}`}
          title="Part again"
          onClick={part}
        >
          <Split size={13} aria-hidden />
        </button>
      ) : null}
      <span className="text-quiet tabular-nums">{products.toLocaleString("en")}</span>
      <button
        type="button"
        aria-pressed={ticked}
        aria-label={`Choose ${label} for merging`}
        title="Choose for merging"
        className={`size-4 flex-none rounded-full border ${ticked ? "border-accent bg-accent" : "border-secondary/50"}`}
        onClick={tick}
      />
    </li>
  );
}
