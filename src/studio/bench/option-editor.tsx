import { ArrowDownToLine, ArrowUpToLine } from "lucide-react";
import { useState } from "react";
import { parentOf } from "../../core/catalogue/path.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { matchesWords, words } from "../../core/engine/index/words.ts";
import type { PanelEdit } from "../../core/panel/edit.ts";
import {
  forgetValues,
  type ListedOption,
  listOptions,
  mergeFor,
  mergeOptions,
  moveOption,
  pickOptions,
  placeOptions,
  renameOption,
  setBelow,
  setShow,
  showOption,
  unmergeOption,
} from "../../core/panel/option-edit.ts";
import { engineMerges, isShown, staleValues } from "../../core/panel/options.ts";
import { rulesOf } from "../../core/panel/panel.ts";
import type { FacetRow, OptionRules } from "../../core/panel/panel-schema.ts";
import { Choice } from "../controls/choice.tsx";
import { FindField } from "../controls/find-field.tsx";
import { IconButton } from "../controls/line-tools.tsx";
import { useAnswer, useShopSettings } from "../shell/shop-context.ts";
import { SortableList } from "../shell/sortable-list.tsx";
import { useBench } from "./bench-context.ts";
import { OptionLine } from "./option-line.tsx";

/** Number of options listed at once. */
const most = 200;
const news: Record<OptionRules["show"], string> = {
  all: "New values appear automatically.",
  only: "New values stay hidden until you pick them.",
  except: "New values appear automatically.",
};

/** Categories with subcategories. */
function branchesIn(options: readonly { id: string; label: string }[]) {
  const above = new Set(options.map(({ id }) => parentOf(id)));
  return options.filter(({ id }) => above.has(id));
}

const levelWords = (below: string | undefined, all: readonly ListedOption[]): string =>
  below === undefined
    ? "all levels"
    : below === ""
      ? "the top level only"
      : `only direct subcategories of ${all.find(({ id }) => id === below)?.label ?? below}`;

/** Which options are shown to shoppers, their labels, merges and order. */
export function OptionEditor({ row, title }: { row: FacetRow; title: string }) {
  const store = useBench().panel;
  const languages = useShopSettings((settings) => settings.languages);
  const [language, setLanguage] = useState("");
  const [asked, setAsked] = useState("");
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const rules = rulesOf(row);
  const { id, field, mode } = row;
  const merges = engineMerges(rules);
  const plain = useAnswer(countsOf([{ field, mode }]))?.facets[field];
  const answer = useAnswer(countsOf([{ field, mode, ...(merges ? { merges } : {}) }]))?.facets[field];
  if (!answer || !plain) return <p className="px-9 text-quiet">Loading the options…</p>;

  const of = { id, title };
  const all = listOptions(row, answer);
  const shown = all.filter(({ label }) => matchesWords(label, words(asked))).slice(0, most);
  const stated = new Set([...plain.options, ...answer.options].map((option) => option.id));
  const stale = staleValues(rules, (value) => stated.has(value));
  const apply = (edit: PanelEdit) => store.getState().apply(edit);
  const place = (ids: readonly string[], to: number) => apply(placeOptions(of, ids, to, all));
  const [first, ...others] = all.filter((option) => ticked.includes(option.id));

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
        set={(show) => apply(setShow(of, show, all))}
      />
      {mode === "tree" ? (
        <label className="flex items-center gap-2 text-[13px]">
          <span className="flex-none text-quiet">Levels</span>
          <select
            className="select select-xs w-full"
            aria-label={`Levels of ${title}`}
            value={rules.below === undefined ? "all" : `below ${rules.below}`}
            onChange={(event) => {
              const { value } = event.target;
              const below = value === "all" ? undefined : value.slice("below ".length);
              apply(setBelow(of, below, levelWords(below, all)));
            }}
          >
            <option value="all">all levels</option>
            <option value="below ">the top level only</option>
            {branchesIn(plain.options).map((branch) => (
              <option key={branch.id} value={`below ${branch.id}`}>
                directly below {branch.label}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      <p className="text-[13px] text-quiet">{news[rules.show]}</p>
      {rules.show === "only" ? <PickTools all={all} pick={(which) => apply(pickOptions(of, which, all))} /> : null}
      <div className="flex items-center gap-2">
        <FindField
          label={`Find an option of ${title}`}
          hint="Find"
          value={asked}
          set={setAsked}
          className="input-xs w-32"
        />
        {languages.length > 0 ? (
          <select
            className="select select-xs w-24"
            aria-label="Language of the labels"
            value={language}
            onChange={(event) => setLanguage(event.target.value)}
          >
            <option value="">catalogue</option>
            {languages.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>
        ) : null}
        <span className="ms-auto flex gap-1">
          <IconButton label="Move selected to the top" off={!first} run={() => place(ticked, 0)}>
            <ArrowUpToLine size={13} aria-hidden />
          </IconButton>
          <IconButton label="Move selected to the bottom" off={!first} run={() => place(ticked, all.length)}>
            <ArrowDownToLine size={13} aria-hidden />
          </IconButton>
        </span>
        <button
          type="button"
          className="btn btn-xs"
          disabled={others.length === 0}
          onClick={() => {
            if (first) apply(mergeOptions(of, [first, ...others]));
            setTicked([]);
          }}
        >
          {first && others.length > 0 ? `Merge ${others.length + 1} into “${first.label}”` : "Select two to merge"}
        </button>
      </div>
      <SortableList
        ids={shown.map((option) => option.id)}
        titleOf={(one) => all.find((option) => option.id === one)?.label ?? one}
        move={(one, onto) => apply(moveOption(of, one, onto, all))}
      >
        <ul className="max-h-72 overflow-auto" aria-label={`Options of ${title}`}>
          {shown.map((option) => (
            <OptionLine
              key={option.id}
              option={option}
              shown={isShown(rules, option.id)}
              text={language === "" ? option.label : (rules.labels[option.id]?.others?.[language] ?? "")}
              merged={mergeFor(rules, option.id)?.values.map(({ label }) => label)}
              ticked={ticked.includes(option.id)}
              tick={() =>
                setTicked(
                  ticked.includes(option.id) ? ticked.filter((one) => one !== option.id) : [...ticked, option.id],
                )
              }
              flip={(on) => apply(showOption(of, option, on))}
              rename={(text) => apply(renameOption(of, option, text, language === "" ? undefined : language))}
              part={() => apply(unmergeOption(of, option))}
              at={all.indexOf(option)}
              of={all.length}
              place={(to) => place([option.id], to)}
              opened={() => ({
                title: `${title}: ${option.label}`,
                says: `Products of the whole shop that the option ${option.label} finds, before anything else is chosen.`,
                told: option.products,
                behind: {
                  products: [
                    {
                      within: [],
                      text: "",
                      facets: [{ field, mode, ...(merges ? { merges } : {}) }],
                      ways: [{ [field]: { options: [option.id] } }],
                    },
                  ],
                },
              })}
            />
          ))}
        </ul>
      </SortableList>
      {all.length > shown.length ? (
        <p className="text-[13px] text-quiet">
          {(all.length - shown.length).toLocaleString("en")} more; search to find them
        </p>
      ) : null}
      <Stale values={stale} forget={() => apply(forgetValues(of, new Set(stale.map((value) => value.id))))} />
    </div>
  );
}

const someMost = 10;

/** Quick ways to begin where only picked options are shown. */
function PickTools({ all, pick }: { all: readonly ListedOption[]; pick(which: "all" | "none" | number): void }) {
  const [count, setCount] = useState(someMost);
  return (
    <div className="flex items-center gap-1.5 text-[13px]">
      <button type="button" className="btn btn-xs" onClick={() => pick("all")}>
        All
      </button>
      <button type="button" className="btn btn-xs" onClick={() => pick("none")}>
        None
      </button>
      <button type="button" className="btn btn-xs" onClick={() => pick(count)}>
        The {count} most frequent
      </button>
      <input
        type="number"
        className="input input-xs w-14"
        aria-label="How many of the most frequent"
        min={1}
        max={all.length}
        value={count}
        onChange={(event) => setCount(Math.max(1, Math.round(event.target.valueAsNumber) || 1))}
      />
    </div>
  );
}

/** Values in the rules that no product states any more. */
function Stale({ values, forget }: { values: readonly Pick<ListedOption, "label" | "products">[]; forget(): void }) {
  if (values.length === 0) return null;
  return (
    <p className="text-[13px] text-error">
      No product states{" "}
      {values.map(({ label, products }) => (products > 0 ? `${label} (once ${products})` : label)).join(", ")}.{" "}
      <button type="button" className="link" onClick={forget}>
        Forget
      </button>
    </p>
  );
}
