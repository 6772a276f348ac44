/**
 * `npm run bench:figures`: all figures of 10 000 made-up students and forty questions, beside marking the same class in the same
 * run. What counts is the ratio; the limit is one second for the figures.
 */
import { MarkedClass } from '@/core/checking/classWork';
import { madeUpClass } from '@/core/madeUp/class';
import type { Attempt } from '@/core/quiz/work/attempt';
import { answerFigures } from '@/core/statistics/answers';
import { figuresOf } from '@/core/statistics/figures';
import { readListsFrom } from '@/server/wordLists';
import { PAPER, PAPER_QUESTIONS } from './paper';

readListsFrom('public/words');

const STUDENTS = Number(process.env['STUDENTS'] ?? 10_000);
const ROUNDS = 5;

const attempts: Attempt[] = [];
for (const { number, student, answers } of madeUpClass(PAPER_QUESTIONS, {
  seed: 11,
  students: STUDENTS,
  neverStart: 0,
  repeat: 0,
}))
  if (number === 1)
    attempts.push({
      id: `a${student}`,
      quizId: 'q',
      studentId: `s${student}`,
      number,
      revision: 1,
      openedAt: 1,
      savedAt: 2,
      handedInAt: 3,
      timeKnown: true,
      source: 'sat',
      answers,
      hints: {},
      seed: 1,
      saves: {},
      seq: 1,
    });
const window = { due: null, grace: 0, until: null, timeLimit: null, pauses: [] };
const work = {
  attempts,
  windowOf: () => window,
  unfinished: 'taken' as const,
  overrides: new Map(),
  rulings: new Map(),
  at: 10,
};

const times: Record<'marking' | 'figures' | 'answers', number[]> = { marking: [], figures: [], answers: [] };
function timed<Made>(what: keyof typeof times, make: () => Made): Made {
  const began = performance.now();
  const made = make();
  times[what].push(performance.now() - began);
  return made;
}
for (let round = 0; round < ROUNDS; round++) {
  const marked = new MarkedClass(PAPER, work);
  const students = timed('marking', () => marked.students());
  timed('figures', () => figuresOf(PAPER, students));
  timed('answers', () => answerFigures(PAPER, students, PAPER_QUESTIONS[3]?.id ?? ''));
}
const median = (all: readonly number[]) => [...all].sort((a, b) => a - b)[all.length >> 1] ?? NaN;
console.table(
  Object.entries(times).map(([what, all]) => ({
    what,
    'median ms': Math.round(median(all)),
    'of marking': +(median(all) / median(times.marking)).toFixed(2),
  })),
);
