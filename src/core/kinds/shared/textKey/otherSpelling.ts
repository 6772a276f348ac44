import type { Equivalents } from '../../../answers/text/accents';
import { graphemes } from '../../../answers/text/graphemes';
import { typingErrors } from '../../../answers/text/matching/distance';
import { prepare } from '../../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../../answers/text/settings';
import { isSilent } from '../../../content/silence';
import { same } from '../../../figures/deepEqual';
import type { Variant } from './schema';

const LOOSE = { ...DEFAULT_SETTINGS, ignoreAccents: true };
const NO_EQUIVALENTS: Equivalents = new Map();
/** One letter in so many may differ, and words shorter than so many are not compared: *silt* is not *salt*. */
const LETTERS_EACH = 4;
const SHORTEST = 5;

/** Whether two forms look like spellings of one thing: *levee* and *levée*, *color* and *colour*. */
function looksAlike(a: string, b: string, language: string): boolean {
  const [one, other] = [a, b].map((form) => prepare(form, LOOSE, language).text.replaceAll(' ', '')) as [
    string,
    string,
  ];
  if (one === other) return true;
  if (/\d/.test(one + other)) return false;
  const [letters, others] = [graphemes(one), graphemes(other)];
  const shorter = Math.min(letters.length, others.length);
  return (
    shorter >= SHORTEST &&
    typingErrors(letters, others, Math.floor(shorter / LETTERS_EACH), NO_EQUIVALENTS) !== null
  );
}

/** Whether a variant says nothing of its own, so that it could as well be another form of an earlier one. */
export function isOtherSpelling(variant: Variant, of: Variant, language: string): boolean {
  const { forms, match, credit, feedback, decides, settings } = variant;
  return (
    isSilent(feedback) &&
    !decides &&
    match !== 'pattern' &&
    match === of.match &&
    same(credit, of.credit) &&
    same(settings, of.settings) &&
    forms.length > 0 &&
    forms.every((form) => of.forms.some((known) => looksAlike(form, known, language)))
  );
}
