import { isFacetable } from "../../catalogue/field.ts";
import type { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import type { Mode } from "../../engine/question.ts";
import { agreement, valueCodes } from "../../profile/agreement.ts";
import { answersTo } from "../../profile/answers.ts";
import { type FieldProfile, profileField } from "../../profile/profile.ts";
import { likelihood } from "./likely.ts";
import { type Suggestion, suggestFacet } from "./suggest.ts";

/** A field that is worth a facet; a higher score is offered sooner. */
export interface Ranked {
  profile: FieldProfile;
  suggestion: Suggestion;
  score: number;
  /** Mean number of products left by an answer, among those with a value; see {@link answersTo}. */
  left: number;
}

/** Number of options that a person reads at a glance; more add nothing. Common practice, no source. */
const glance = 12;
/** Number of options up to which each is a plain word among few, which counts for more. Common practice, no source. */
const few = 8;
/** Number of options from which a list is searched rather than read. */
const searched = 60;
/** Two fields that say so much the same are one question. */
const same = 0.85;
/** Number lines that a panel carries well; each further one is worth this much of what it would be. */
const fewLines = 2;
const lessAgain = 0.6;

/**
 * The fields that are worth a facet, best first: those that most products state, that narrow the results with few
 * options to read, that people choose by, and that don't repeat an earlier one.
 * @param most number of fields wanted; comparing two fields reads all products, so no more are compared than needed
 */
export function rankFields(index: CatalogueIndex, most: number): Ranked[] {
  const { catalogue } = index;
  const open = catalogue.fields.filter(isFacetable).flatMap((field) => {
    const profile = profileField(index, field);
    const suggestion = suggestFacet(profile);
    if (!suggestion.worth) return [];
    const said = valueCodes(catalogue, field);
    const { left, bits } = answersTo(index, field);
    return [{ profile, suggestion, said, left, score: worthOf(profile, bits, suggestion.mode) }];
  });
  const ranked: Ranked[] = [];
  let lines = 0;
  while (ranked.length < most) {
    open.sort((a, b) => b.score - a.score);
    const best = open.shift();
    if (!best) break;
    const { profile, suggestion, said, left, score } = best;
    ranked.push({ profile, suggestion, score, left });
    if (ranked.length === most) break;
    // A panel of sliders is like a questionnaire: each after the second is worth less.
    const many = isLine(best) && ++lines >= fewLines;
    for (const other of open) {
      if (many && isLine(other)) other.score *= lessAgain;
      const share = agreement(said, other.said);
      other.score *= share >= same ? 0.1 : 1 - share ** 2;
    }
  }
  return ranked;
}

const isLine = ({ suggestion }: Pick<Ranked, "suggestion">): boolean => suggestion.mode === "range";

/** The usefulness of a field to shoppers, regardless of other fields. */
function worthOf({ field, reach, outOf, options, samples }: FieldProfile, bits: number, mode: Mode): number {
  const likely = likelihood(field);
  const read = Math.min(bits, Math.log2(glance));
  if (mode === "range") return likely * (reach / outOf) * read;
  const length = options <= few ? 1.25 : options <= searched ? 1 : options <= 5 * searched ? 0.6 : 0.4;
  return likely * (reach / outOf) * read * length * (samples.every(isCode) ? 0.7 : 1);
}

/** Whether a value is a code, such as “B-737-300”: capitals and digits, which tell only those who know them something. */
const isCode = (text: string): boolean => /^[A-Z\d./-]*$/.test(text) && /\d/.test(text) && /[A-Z]/.test(text);
