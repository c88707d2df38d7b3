import { parseArgs } from "node:util";
import { type FindingLevel, findingLevels } from "../core/findings/finding.ts";
import { pageList } from "../core/page/page-list.ts";
import { checkPages, checkPanels, isAtLeast, shopFactsFor } from "../core/report/check-shop.ts";
import { asJunit, asSarif, asText } from "../core/report/report.ts";
import { type Command, didYouMean, oneOf } from "./command.ts";
import { givenShop, shopHelp, shopOptions } from "./shop.ts";
import { UsageError } from "./usage-error.ts";

const forms = ["text", "json", "sarif", "junit"] as const;
type Form = (typeof forms)[number];

/** Every finding that needs no browser, on every page. */
export const check: Command = {
  name: "check",
  about: "Checks a shop’s panels and pages for everything that needs no browser.",
  usage:
    "trellis check (FOLDER | --shop SLUG) [--edition N] [--data FILE] [--page ADDRESS]… [--level note|warning|error] [--as text|json|sarif|junit]",
  options: [
    ...shopHelp("the draft"),
    ["--page ADDRESS", "Check this page only; can be given several times", "all pages"],
    ["--level LEVEL", "Exit with 1 from this level on: note, warning or error", "warning"],
    ["--as FORMAT", "Output format: text, json, sarif or junit", "text"],
  ],
  example: "trellis check ./larkmoss --level error --as sarif > findings.sarif",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        page: { type: "string", multiple: true },
        level: { type: "string", default: "warning" },
        as: { type: "string", default: "text" },
        ...shopOptions,
      },
    });
    const level: FindingLevel = oneOf(findingLevels, values.level, "level");
    const form: Form = oneOf(forms, values.as, "as");
    const { whole } = await givenShop(positionals, values, check, "draft");
    const facts = shopFactsFor(whole);
    const addresses = pageList(whole.pages, facts.pageFacts()).map(({ address }) => address);
    const unknown = values.page?.find((page) => !addresses.includes(page));
    if (unknown !== undefined)
      throw new UsageError(`This shop has no page ${unknown}.${didYouMean(unknown, addresses)}`);
    const panels = values.page === undefined ? await checkPanels(whole, facts) : [];
    const all = [...panels, ...(await checkPages(whole, values.page, facts))];
    const fails = (one: (typeof all)[number]) => isAtLeast(one.level, level);
    const found = all.filter(fails);
    const text = {
      text: () => asText(found),
      json: () => JSON.stringify(found, null, 2),
      sarif: () => JSON.stringify(asSarif(found), null, 2),
      junit: () => asJunit(all, fails),
    }[form]();
    return { text, status: found.length > 0 ? 1 : 0 };
  },
};
