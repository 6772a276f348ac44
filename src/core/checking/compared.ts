import { keptNumber } from '../answers/number/kept';
import { comparedText } from '../answers/text/comparedText';
import { withPreset, type Preset, type TextSettings, type WayOfMatching } from '../answers/text/settings';
import { countedSigns, type CountedSign } from '../answers/text/signs/countingSigns';
import { NEWEST_EDITION } from '../answers/text/words/wordLists';
import { unify } from '../answers/text/unify';
import { emptyContent } from '../quiz/newQuiz';
import { newPlacement } from '../quiz/newPlacement';
import { paperFrom } from '../quiz/paper';
import type { Paper } from '../quiz/quiz';
import type { Question } from '../kinds';
import { questionOfNumbers, questionOfWords } from '../kinds/tried';

/** What is tried: a right answer, how another one is compared with it, and how both are read. */
export interface Tried {
  readonly reads: 'words' | 'numbers';
  readonly right: string;
  readonly language: string;
  readonly decimalSign: 'point' | 'comma';
  readonly settings: TextSettings;
  readonly match: WayOfMatching;
  /** A number's own unit; empty where none is asked for. */
  readonly unit: string;
}

/** What comparing takes away from both texts, one after the other. */
export type StepName = 'typed' | 'oneForm' | 'capitals' | 'articles' | 'punctuation' | 'accents';

/** Both texts as they are after a step. */
export interface ComparedStep {
  readonly step: StepName;
  readonly right: string;
  readonly answer: string;
}

const NOTHING_IGNORED = {
  ignoreCapitals: false,
  ignoreArticles: false,
  ignorePunctuation: false,
  ignoreAccents: false,
} as const;

const IN_TURN = [
  ['capitals', 'ignoreCapitals'],
  ['articles', 'ignoreArticles'],
  ['punctuation', 'ignorePunctuation'],
  ['accents', 'ignoreAccents'],
] as const;

/** How both texts become what is compared: as they were typed, and each step that changes one of them. */
export function comparedSteps({ right, settings, language }: Tried, answer: string): ComparedStep[] {
  const texts = [right, answer] as const;
  let at: TextSettings = { ...settings, ...NOTHING_IGNORED };
  const under = (): readonly [string, string] => {
    const [one, other] = texts.map((text) => comparedText(text, at, language));
    return [one ?? '', other ?? ''];
  };
  const steps: ComparedStep[] = [{ step: 'typed', right, answer }];
  const add = (step: StepName, [one, other]: readonly [string, string]) => {
    const last = steps.at(-1);
    if (last?.right !== one || last.answer !== other) steps.push({ step, right: one, answer: other });
  };
  add('oneForm', under());
  for (const [step, setting] of IN_TURN) {
    if (!settings[setting]) continue;
    at = { ...at, [setting]: true };
    add(step, under());
  }
  return steps;
}

/** The signs that count in a text where punctuation is ignored; none where all of it counts. */
export const signsIn = ({ settings }: Tried, text: string): CountedSign[] =>
  settings.ignorePunctuation ? countedSigns(unify(text)) : [];

const PRESETS = ['spellingCounts', 'smallErrorsPass', 'onlyTheSense'] as const satisfies readonly Preset[];

/** Another way of comparing, that a teacher could choose instead. */
export type OtherWay = Preset | 'everySignCounts' | 'capitalsCount' | 'phrase' | 'allWords';

/** The ways of comparing words that stand beside each other, each with what it makes of the same. */
export const otherWays = (tried: Tried): (readonly [way: OtherWay, tried: Tried])[] =>
  tried.reads === 'numbers'
    ? []
    : [
        ...PRESETS.map(
          (preset) => [preset, { ...tried, settings: withPreset(tried.settings, preset) }] as const,
        ),
        ['everySignCounts', { ...tried, settings: { ...tried.settings, ignorePunctuation: false } }],
        ['capitalsCount', { ...tried, settings: { ...tried.settings, ignoreCapitals: false } }],
        ['phrase', { ...tried, match: 'phrase' }],
        ['allWords', { ...tried, match: 'allWords' }],
      ];

const questionOf = (tried: Tried): Question => {
  if (tried.reads === 'words') return questionOfWords(tried.right, tried);
  const kept = keptNumber(tried.right, tried);
  return questionOfNumbers(kept?.text ?? '', tried.unit || (kept?.unit ?? ''));
};

/** The question that is tried, in a quiz of its own: the very code that marks compares it. */
export function triedPaper(tried: Tried): { readonly question: Question; readonly paper: Paper } {
  const question = questionOf(tried);
  const { language, decimalSign } = tried;
  const content = {
    ...emptyContent(''),
    language,
    decimalSign,
    comparing: NEWEST_EDITION,
    order: [question.id],
  };
  return { question, paper: paperFrom(content, [{ question, placement: newPlacement(question.id) }]) };
}
