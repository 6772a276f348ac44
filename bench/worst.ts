import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import { fraction } from '@/core/figures/fraction';
import { markAnswer } from '@/core/scoring/markAttempt';
import { nonsense, withTypingError } from '@/core/answers/text/mistakes';
import { below, randomFrom, type Random } from '@/core/figures/random';
import { NO_RULES } from '@/core/content/questionRules';
import { SILENCE } from '@/core/content/silence';
import type { Question } from '@/core/kinds';

/** What could take long: long keys, long answers, and answers that are all near misses. */

type Phrase = Extract<Question, { kind: 'phrase' }>;
const context = { language: 'en', decimalSign: 'point' as const };
const SYLLABLES = [
  'ra',
  'ver',
  'lo',
  'mean',
  'der',
  'sil',
  'bank',
  'ox',
  'bow',
  'del',
  'ta',
  'gor',
  'ge',
  'le',
  'vee',
];
const word = (random: Random): string =>
  Array.from({ length: 3 + below(random, 3) }, () => SYLLABLES[below(random, SYLLABLES.length)]).join('');

const question = (forms: string[], more: Partial<Phrase> = {}): Phrase => ({
  id: 'worst',
  text: [],
  right: SILENCE,
  partly: SILENCE,
  wrong: SILENCE,
  explanation: '',
  ...NO_RULES,
  kind: 'phrase',
  settings: DEFAULT_SETTINGS,
  unmatched: 'wrong',
  variants: forms.map((form, at) => ({
    id: `v${at}`,
    forms: [form],
    match: 'whole',
    credit: fraction(1),
    feedback: SILENCE,
    decides: false,
    settings: {},
  })),
  ...more,
});

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

const mark = (one: Question, texts: readonly string[]) => () => {
  for (const text of texts) markAnswer(one, { kind: 'phrase', text }, context);
};

/** Each in ms for all of it. */
export function worstCases(): Record<string, number> {
  const random = randomFrom(5);
  const forms = Array.from({ length: 200 }, () => `${word(random)} ${word(random)}`);
  const slips = Array.from({ length: 10_000 }, (_, at) => withTypingError(random, forms[at % 200] as string));
  const lenient = { settings: { ...DEFAULT_SETTINGS, typingErrors: 2 as const } };
  const pattern = question(['(a+)+b|x*x*x*y'], {
    variants: [
      {
        id: 'p',
        forms: ['(a+)+b|x*x*x*y'],
        match: 'pattern',
        credit: fraction(1),
        feedback: SILENCE,
        decides: false,
        settings: {},
      },
    ],
  });
  const long = Array.from({ length: 20 }, (_, at) => (at % 2 ? 'a' : 'x').repeat(10_000));
  const realistic = Array.from({ length: 10_000 }, (_, at) =>
    at % 3 === 0
      ? withTypingError(random, withTypingError(random, forms[at % 200] as string))
      : `${nonsense(random)} ${at}`,
  );
  const alike = Array.from(
    { length: 10_000 },
    (_, at) => `${(forms[at % 200] as string).slice(0, -1)}${at % 10}x`,
  );
  return {
    '10 000 answers with errors, 200 variants': timed(mark(question(forms, lenient), slips)),
    '20 answers of 10 000 characters, a nested pattern': timed(mark(pattern, long)),
    'near misses of 10 000 distinct answers, 200 variants': timed(mark(question(forms), realistic)),
    'the same, all near a variant': timed(mark(question(forms), alike)),
  };
}
