import { Link2, RotateCcw } from "lucide-react";
import { useMemo } from "react";
import { spokenToken } from "../../core/look/edit.ts";
import type { Scheme } from "../../core/look/resolve.ts";
import { dependents, followersOf, referencesOf, valueOn } from "../../core/look/resolve.ts";
import { parts, type Token, tokenName, tokens } from "../../core/look/tokens.ts";
import { stateBefore, type TokenState } from "../../core/look/value.ts";
import type { Band } from "../../core/settings/band.ts";
import { statesOfPart } from "../../storefront/panel/part-at.ts";
import { PicturePick } from "../controls/picture-pick.tsx";
import type { StyleTarget } from "./look-context.ts";
import { TokenField } from "./token-field.tsx";

const groups = [...new Set(Object.values(parts).map(({ group }) => group))];

const stateWords: Record<TokenState, string> = {
  rest: "rest",
  hovered: "hovered",
  focused: "focused",
  chosen: "chosen",
  "chosen-hovered": "chosen, hovered",
  unavailable: "unavailable",
};

interface Props {
  target: StyleTarget;
  band: Band;
  scheme: Scheme;
  part: string;
  state: TokenState;
  pick(part: string, state: TokenState): void;
  /** Parts that can be chosen; all if absent. */
  among?: readonly string[];
}

/** A part in a state: each of its tokens, what it follows, and what follows it. */
export function PartCard({ target, band, scheme, part, state, pick, among }: Props) {
  const definition = parts[part];
  const own = statesOfPart(part);
  const followers = useMemo(() => followersOf(target.look), [target.look]);
  const listed = (name: string) => among === undefined || among.includes(name);
  if (!definition) return null;
  return (
    <section aria-label={definition.label} className="flex flex-col gap-2">
      <select
        className="select select-sm w-full font-semibold"
        aria-label="Part"
        value={part}
        onChange={(event) => pick(event.target.value, "rest")}
      >
        {groups.map((group) => (
          <optgroup key={group} label={group}>
            {Object.entries(parts)
              .filter(([name, one]) => one.group === group && listed(name))
              .map(([name, one]) => (
                <option key={name} value={name}>
                  {one.label}
                </option>
              ))}
          </optgroup>
        ))}
      </select>
      {own.length > 1 ? (
        <div role="radiogroup" aria-label="State" className="flex flex-wrap gap-1">
          {own.map((one) => (
            <button
              key={one}
              type="button"
              role="radio"
              aria-checked={one === state}
              className={`rounded-md border px-2 py-0.5 text-[13px] ${one === state ? "border-primary bg-primary text-primary-content" : "border-hair hover:bg-sand"}`}
              onClick={() => pick(part, one)}
            >
              {stateWords[one]}
            </button>
          ))}
        </div>
      ) : null}
      <ul className="flex flex-col">
        {Object.keys(definition.properties).map((property) => {
          const named = tokens.get(tokenName(part, property, state));
          // Values that do not differ by state are set for all states at once.
          const token = named ?? (state === "rest" ? undefined : tokens.get(tokenName(part, property)));
          const shown = token ?? nearest(part, property, state);
          if (shown?.type === "picture")
            return (
              <PictureLine
                key={property}
                part={part}
                property={property}
                state={state}
                target={target}
                band={band}
                scheme={scheme}
              />
            );
          return shown ? (
            <TokenLine
              key={property}
              token={shown}
              target={target}
              band={band}
              scheme={scheme}
              all={named === undefined}
              followers={followers}
            />
          ) : null;
        })}
      </ul>
    </section>
  );
}

function nearest(part: string, property: string, state: TokenState): Token | undefined {
  const found = tokens.get(tokenName(part, property, state));
  return found ?? (state === "rest" ? undefined : nearest(part, property, stateBefore[state]));
}

/** States shown side by side: those that most options need. */
const pictured: readonly TokenState[] = ["rest", "hovered", "chosen"];

/** Pictures of a part in the most important states, and in the open one, side by side. */
function PictureLine({
  part,
  property,
  state,
  target,
  band,
  scheme,
}: Omit<Props, "pick" | "among"> & { property: string }) {
  const all = [...pictured, ...(pictured.includes(state) ? [] : [state])].flatMap((one) => {
    const token = tokens.get(tokenName(part, property, one));
    return token ? [{ token, state: one }] : [];
  });
  const [first] = all;
  return first ? (
    <li className="border-b border-hair py-1" data-token={first.token.name}>
      <span className="text-[13px]">{first.token.label}</span>
      <div className="flex flex-wrap justify-between gap-x-4 gap-y-1">
        {all.map(({ token, state: one }) => (
          <PicturePick
            key={one}
            caption={one === "rest" ? "unchosen" : stateWords[one]}
            label={`${token.label}, ${one === "rest" ? "unchosen" : stateWords[one]}`}
            value={target.sets(token) ? String(valueOn(target.look, token.name, band, scheme)) : ""}
            set={(address) => (address === "" ? target.reset(token) : target.set(token, address))}
          />
        ))}
      </div>
    </li>
  ) : null;
}

/** One token: its name, its value, and the source of the value. */
function TokenLine({
  token,
  target,
  band,
  scheme,
  all,
  followers,
}: Pick<Props, "target" | "band" | "scheme"> & {
  token: Token;
  all: boolean;
  followers: ReadonlyMap<string, readonly string[]>;
}) {
  const set = target.sets(token);
  const way = referencesOf(target.look, token.name, band, scheme);
  const users = [...dependents(target.look, [token.name], followers)].slice(1);
  const [follows] = way;
  const followed = follows === undefined ? undefined : tokens.get(follows);
  return (
    <li className="border-b border-hair py-1" data-token={token.name}>
      <div className="flex min-h-8 items-center gap-2">
        <span className={`flex-1 text-[13px] ${set ? "font-semibold" : ""}`}>
          {token.label}
          {all ? <span className="text-[13px] font-normal text-quiet"> · all states</span> : null}
        </span>
        <TokenField token={token} target={target} band={band} scheme={scheme} />
        <button
          type="button"
          className="grid size-6 flex-none place-items-center rounded-md text-quiet hover:bg-sand disabled:invisible"
          disabled={!set}
          aria-label={`Reset ${token.label}`}
          title="Reset"
          onClick={() => target.reset(token)}
        >
          <RotateCcw size={12} aria-hidden />
        </button>
      </div>
      {followed || users.length > 0 ? (
        <p className="flex gap-3 pb-0.5 text-[13px] text-quiet">
          {followed ? (
            <span className="flex items-center gap-1" title={way.join(" → ")}>
              <Link2 size={10} aria-hidden /> follows {spokenToken(followed)}
            </span>
          ) : null}
          {users.length > 0 ? (
            <span title={users.slice(0, 20).join(", ")}>
              {users.length} {users.length === 1 ? "follows" : "follow"} it
            </span>
          ) : null}
        </p>
      ) : null}
    </li>
  );
}
