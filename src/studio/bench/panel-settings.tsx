import { Link } from "react-router";
import { stickyHeights } from "../../core/page/bars.ts";
import { freeScreenShare, minFreeShare } from "../../core/page/sticky-row.ts";
import { followBehaviour, resetBehaviour, setBehaviour, setLook } from "../../core/panel/edit.ts";
import { type Band, bands, resolve } from "../../core/settings/band.ts";
import { type BehaviourName, type BehaviourValue, behaviourOff, behaviours } from "../../core/settings/behaviour.ts";
import { behaviourDefinition } from "../../core/settings/behaviour-definitions.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { LanguageFields } from "../controls/language-fields.tsx";
import { pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop, usePages, useShopSettings } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { IconChoice } from "./icon-choice.tsx";
import { BandedLine, SingleLine } from "./setting-line.tsx";
import { usePlacement } from "./use-placement.ts";

/** The panel's behaviour, and the languages of labels. */
export function PanelSettings() {
  const { behaviour = {}, placement } = usePlacement();
  const on = (name: BehaviourName) => bands.map((band) => behaviourOff(name, resolve(placement, band)));
  // Settings without an effect here are listed in one line at the end, with the reason.
  const names = behaviours.names.filter((name) => on(name).some((reason) => reason === undefined));
  const off = behaviours.names.filter((name) => !names.includes(name));
  const banded = names.filter((name) => behaviours.isBanded(name));
  const single = names.filter((name) => !behaviours.isBanded(name));
  return (
    <div className="grid gap-1 border-t border-hair/70 py-2">
      <LookChoice />
      {banded.map((name) => (
        <BandedBehaviour key={name} name={name} />
      ))}
      {bands.some((band) => behaviours.on(behaviour, "sticky", band)) ? <Offset /> : null}
      {single.map((name) => (name === "sendTo" ? <SendTo key={name} /> : <SingleBehaviour key={name} name={name} />))}
      <div className="px-9">
        <LanguageFields />
      </div>
      {off.length > 0 ? (
        <details className="px-9 text-[13px] text-quiet">
          <summary className="cursor-pointer py-0.5">{off.length} don’t apply in this position</summary>
          <dl className="grid grid-cols-[104px_minmax(0,1fr)] gap-x-2 gap-y-1 py-1">
            {off.map((name) => (
              <div key={name} className="contents">
                <dt className="font-medium text-base-content">{behaviourDefinition(name).label}</dt>
                <dd>{behaviourOff(name, resolve(placement, "wide"))}</dd>
              </div>
            ))}
          </dl>
        </details>
      ) : null}
    </div>
  );
}

/** The panel's look: the shop's, or its own. */
function LookChoice() {
  const { shop } = useOpenShop();
  const store = useBench().panel;
  const own = usePanel((state) => state.document.look);
  const ofShop = useShopSettings((settings) => settings.look);
  const nameOf = (slug: string | undefined) => shop.looks.find((one) => one.slug === slug)?.name;
  return (
    <div className="flex items-center gap-2 px-9">
      <span className="w-26 flex-none text-[13px] text-quiet">Look</span>
      <select
        className="select select-xs w-44"
        aria-label="Look of the panel"
        value={own ?? ""}
        onChange={(event) => {
          const slug = event.target.value || undefined;
          store.getState().apply(setLook(slug, nameOf(slug) ?? "the shop’s"));
        }}
      >
        <option value="">Shop default{nameOf(ofShop) ? `: ${nameOf(ofShop)}` : ""}</option>
        {shop.looks.map(({ slug, name }) => (
          <option key={slug} value={slug}>
            {name}
          </option>
        ))}
      </select>
      <Link
        className="link text-[13px]"
        to={`/shops/${shop.slug}/look${(own ?? ofShop) === undefined ? "" : `/${own ?? ofShop}`}`}
      >
        Open
      </Link>
    </div>
  );
}

function BandedBehaviour({ name }: { name: BehaviourName }) {
  const store = useBench().panel;
  const { behaviour = {}, placement } = usePlacement();
  const rowOff = useRowOff();
  return (
    <BandedLine
      definition={behaviourDefinition(name)}
      of="the panel"
      setting={behaviours.banded(behaviour, name)}
      isSet={behaviour[name] !== undefined}
      set={(value, band) => store.getState().apply(setBehaviour(name, value as BehaviourValue, band))}
      reset={() => store.getState().apply(resetBehaviour(name))}
      follow={(band) => store.getState().apply(followBehaviour(name, band))}
      // A setting that is on stays available, so that it can be turned off.
      off={(band) =>
        behaviourOff(name, resolve(placement, band)) ??
        (name === "sticky" && !behaviours.on(behaviour, name, band) ? rowOff(band) : undefined)
      }
    />
  );
}

function SingleBehaviour({ name }: { name: BehaviourName }) {
  const store = useBench().panel;
  const behaviour = usePanel((state) => state.document.behaviour) ?? {};
  const languages = useShopSettings((settings) => settings.languages);
  const { kind } = behaviourDefinition(name);
  const icon = behaviours.on(behaviour, "buttonIcon", "wide");
  // Hides settings without choices at the moment: no other language, no custom picture.
  if ((kind === "words" && languages.length === 0) || (name === "buttonPicture" && icon !== "own")) return null;
  if (name === "buttonIcon")
    return (
      <div className="flex items-start gap-2 px-9">
        <span className="w-26 flex-none pt-1 text-[13px] text-quiet">{behaviourDefinition(name).label}</span>
        <IconChoice
          label="Icon of the panel’s button"
          value={icon}
          set={(next) => store.getState().apply(setBehaviour(name, next))}
        />
      </div>
    );
  return (
    <SingleLine
      definition={behaviourDefinition(name)}
      of="the panel"
      value={behaviours.on(behaviour, name, "wide")}
      isSet={behaviour[name] !== undefined}
      set={(value) => store.getState().apply(setBehaviour(name, value as BehaviourValue))}
      reset={() => store.getState().apply(resetBehaviour(name))}
    />
  );
}

/**
 * Why a row above the products cannot be sticky on a band: as measured, it would leave too little of the screen free.
 */
function useRowOff(): (band: Band) => string | undefined {
  const { behaviour = {}, placement } = usePlacement();
  const measures = useSession((state) => state.measures);
  const screens = useSession((state) => state.screens);
  return (band) => {
    const measure = measures[band];
    if (placementFacts[resolve(placement, band)].sticks !== "row" || !measure) return undefined;
    const offset = measure.bars + behaviours.on(behaviour, "nudge", band);
    const free = freeScreenShare(offset, measure.panel, screens[band].height);
    return free >= minFreeShare
      ? undefined
      : `The panel is ${measure.panel} px high here, which leaves ${Math.floor(free * 100)}% of the screen. A sticky row must leave ${minFreeShare * 100}%.`;
  };
}

/** A sticky panel's offset: the sticky bars on each band, and the fine-tune. */
function Offset() {
  const bars = usePages((pages) => pages.bars);
  const behaviour = usePanel((state) => state.document.behaviour) ?? {};
  const { placement } = usePlacement();
  const measures = useSession((state) => state.measures);
  const screens = useSession((state) => state.screens);
  const words = (band: Band) => {
    if (behaviourOff("sticky", resolve(placement, band)) || !behaviours.on(behaviour, "sticky", band)) return undefined;
    const sum = stickyHeights(bars)[band];
    const nudge = behaviours.on(behaviour, "nudge", band);
    const measure = placementFacts[resolve(placement, band)].sticks === "row" ? measures[band] : undefined;
    const free = measure
      ? `, ${measure.panel} px high: ${Math.floor(freeScreenShare(sum + nudge, measure.panel, screens[band].height) * 100)}% of the screen stays free`
      : "";
    const off = nudge === 0 ? "" : nudge > 0 ? `, a gap of ${nudge} px` : `, ${-nudge} px under the bars`;
    return `${band} ${sum + nudge} px${off}${free}`;
  };
  const told = bands.flatMap((band) => words(band) ?? []);
  return told.length > 0 ? (
    <p className="px-9 text-[13px] text-quiet" role="status">
      Offset from the top: {told.join("; ")}
    </p>
  ) : null;
}

/** The page that receives the choices, selected from the shop's. */
function SendTo() {
  const store = useBench().panel;
  const list = useAllPages();
  const behaviour = usePanel((state) => state.document.behaviour) ?? {};
  const sendTo = behaviours.on(behaviour, "sendTo", "wide");
  const atOnce = bands.some((band) => behaviours.on(behaviour, "apply", band) === "once");
  return (
    <>
      <div className="flex min-h-7 items-center gap-2 px-9">
        <span className="w-26 flex-none text-[13px] text-quiet">Sends to</span>
        <select
          className="select select-xs w-full min-w-0"
          aria-label="Page that choices go to"
          value={sendTo}
          onChange={(event) => store.getState().apply(setBehaviour("sendTo", event.target.value))}
        >
          <option value="">this page</option>
          {sendTo !== "" && !list.some(({ address }) => address === sendTo) ? (
            <option value={sendTo}>{sendTo} (removed)</option>
          ) : null}
          {list.map((page) => (
            <option key={page.address} value={page.address}>
              {pageName(page)} – {page.address}
            </option>
          ))}
        </select>
      </div>
      {sendTo !== "" && atOnce ? (
        <p className="px-9 text-[13px] text-quiet">
          Shoppers leave the page at their first choice. To allow several choices, set “Update results” to “button”.
        </p>
      ) : null}
    </>
  );
}
