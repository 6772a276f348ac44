import { NEWEST_EDITION } from '../answers/text/words/wordLists';
import { DEFAULT_PLAN } from './plan/defaultPlan';
import type { QuizContent, QuizStanding } from './quiz';
import type { ScoreRules } from './rules';

/** A sum not below 0, nothing off for repeating, no scale, rounded to hundredths. */
export const DEFAULT_SCORING: ScoreRules = {
  floor: true,
  repeat: null,
  bonusLifts: false,
  outOf: null,
  rounding: 100,
};

/** What a new quiz holds; `zone` is the time zone by which days are counted. */
export const emptyContent = (title: string, zone = 'UTC'): QuizContent => ({
  title,
  topic: '',
  instructions: [],
  language: 'en',
  comparing: NEWEST_EDITION,
  defaultPoints: { n: 1, d: 1 },
  mustAnswer: 'no',
  penalty: { kind: 'none' },
  negativeCredit: false,
  order: [],
  sections: [],
  shuffled: false,
  shuffledOptions: false,
  pages: 'each',
  bands: [],
  bandsOnCover: false,
  plan: DEFAULT_PLAN,
  strict: false,
  unfinished: 'taken',
  missing: 'empty',
  attempts: { most: 1, counts: 'best' },
  timeLimit: null,
  goingBack: true,
  comingBack: true,
  late: { kind: 'free' },
  scoring: DEFAULT_SCORING,
  decimalSign: 'point',
  zone,
});

export const NEW_STANDING: QuizStanding = {
  opening: null,
  windows: [],
  plans: [],
  acts: [],
  kept: [],
  known: [],
  pauses: [],
  granted: {},
  setTo: [],
  live: null,
};
