import { z } from '../../zod';
import { ZERO } from '../../figures/fraction';
import { FractionData as Fraction } from '../../figures/schema';

/** How many typing errors an answer may hold: a number, or by the length of the variant's form. */
const TypingErrors = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal('byLength')]);
export type TypingErrors = z.infer<typeof TypingErrors>;

/** Whether another word may pass for a misspelt one: it may; it may not; it may not, but singular for plural may. */
export const OtherWords = z.enum(['pass', 'refuse', 'refuseButS']);
export type OtherWords = z.infer<typeof OtherWords>;

/** What is ignored when an answer is compared with a variant. */
export const TextSettings = z.strictObject({
  ignoreCapitals: z.boolean(),
  ignoreArticles: z.boolean(),
  ignorePunctuation: z.boolean(),
  ignoreAccents: z.boolean(),
  ignoreWordOrder: z.boolean(),
  typingErrors: TypingErrors,
  /** Share of the part's points that each typing error costs, 0 … 1. */
  typingErrorPrice: Fraction.refine((price) => price.n >= 0 && price.n <= price.d, 'A price is 0% to 100%'),
  /** Counts where errors or accents are let pass, and there is a list of words for the language. */
  otherWords: OtherWords,
});
export type TextSettings = z.infer<typeof TextSettings>;

/** A variant matches as the whole answer, a phrase in it, all its words, or a pattern for the whole. */
export const WayOfMatching = z.enum(['whole', 'phrase', 'allWords', 'pattern']);
export type WayOfMatching = z.infer<typeof WayOfMatching>;

export const DEFAULT_SETTINGS: TextSettings = {
  ignoreCapitals: true,
  ignoreArticles: false,
  ignorePunctuation: true,
  ignoreAccents: false,
  ignoreWordOrder: false,
  typingErrors: 0,
  typingErrorPrice: ZERO,
  otherWords: 'refuse',
};

/** One choice that sets several settings at once; the price of a typing error stays as it is. */
const PRESETS = {
  spellingCounts: { ...DEFAULT_SETTINGS },
  smallErrorsPass: { ...DEFAULT_SETTINGS, ignoreAccents: true, typingErrors: 'byLength' },
  onlyTheSense: {
    ...DEFAULT_SETTINGS,
    ignoreAccents: true,
    ignoreArticles: true,
    typingErrors: 'byLength',
    otherWords: 'refuseButS',
  },
} as const satisfies Record<string, TextSettings>;
export type Preset = keyof typeof PRESETS;

/** The preset that the settings amount to, or null where they are the teacher's own mixture. */
export function presetOf(settings: TextSettings): Preset | null {
  const same = (preset: TextSettings): boolean =>
    (Object.keys(preset) as (keyof TextSettings)[])
      .filter((name) => name !== 'typingErrorPrice')
      .every((name) => preset[name] === settings[name]);
  return (Object.keys(PRESETS) as Preset[]).find((name) => same(PRESETS[name])) ?? null;
}

/** The settings with a preset's choices laid over them; the price stays. */
export function withPreset(settings: TextSettings, preset: Preset): TextSettings {
  return { ...PRESETS[preset], typingErrorPrice: settings.typingErrorPrice };
}

/** True where a text may pass that is not written as the key's form is: with typing errors, or without its accents. */
export const letsPass = ({ typingErrors, ignoreAccents }: TextSettings): boolean =>
  typingErrors !== 0 || ignoreAccents;

/**
 * Typing errors allowed for a form of `length` graphemes as compared: by length 0 to 4 none, 5 to 8 one, from 9 two; a
 * fixed number, but never more than a third of the length: *so* is not *to*, *she* not *he*.
 */
export function errorsAllowed(setting: TypingErrors, length: number): number {
  if (setting !== 'byLength') return Math.min(setting, Math.floor(length / 3));
  return length <= 4 ? 0 : length <= 8 ? 1 : 2;
}
