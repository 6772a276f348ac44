/**
 * `npm run bench [-- --json FILE]`: full marking against a plain loop, in the same run. The baseline trims,
 * lower-cases and compares each answer with one key; marking reads the whole key, gives credit, rule and
 * feedback, and adds up totals. What counts is the ratio.
 */
import { writeFileSync } from 'node:fs';
import { MarkColumn } from '@/core/checking/markColumn';
import { kindOf, type Answer } from '@/core/kinds';
import { contextOf, scoreMark } from '@/core/marking/markAttempt';
import { total } from '@/core/marking/total';
import { CONTENT, QUESTIONS } from '../demo/quiz';
import { WRITTEN_ANSWERS } from '../demo/class';

const STUDENTS = 10_000;
const ROUNDS = 7;

/** The same numbers in the same order on every machine (mulberry32). */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const random = chance(7);
const pickOf = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)] as T;

/** A class that writes like the demo class, with a slip of the finger in one answer of ten. */
const written = Array.from({ length: STUDENTS }, () =>
  QUESTIONS.map((_, column) => {
    const text = pickOf(WRITTEN_ANSWERS)[column] ?? '';
    const at = Math.floor(random() * text.length);
    return random() < 0.1 && column % 2 === 1 ? text.slice(0, at) + text.slice(at + 1) : text;
  }),
);
const attempts = written.map((row) =>
  QUESTIONS.map((question, column): Answer | null =>
    kindOf(question).readAnswer(question, row[column] ?? ''),
  ),
);
const keys = QUESTIONS.map((question) => kindOf(question).rightAnswers(question)[0]?.toLowerCase() ?? '');

function plainLoop(): number {
  let right = 0;
  for (const row of written) {
    for (let column = 0; column < keys.length; column++) {
      if ((row[column] as string).trim().toLowerCase() === keys[column]) right++;
    }
  }
  return right;
}

function fullMarking(): number {
  const columns = QUESTIONS.map((question) => new MarkColumn(question, contextOf(CONTENT)));
  let sum = 0;
  for (const answers of attempts) {
    const scores = columns.map((column, index) =>
      scoreMark(column.mark(answers[index] ?? undefined), column.question, CONTENT),
    );
    const { score } = total(scores, { rules: CONTENT.scoring, repeat: 1, late: null });
    sum += score.n / score.d;
  }
  return sum;
}

/** The median of several rounds, in ms. */
function median(work: () => number): number {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    if (work() <= 0) throw new Error('nothing was right');
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] as number;
}

const plain = median(plainLoop);
const full = median(fullMarking);
const cells = STUDENTS * QUESTIONS.length;
console.log(`${STUDENTS} students × ${QUESTIONS.length} questions, median of ${ROUNDS} rounds`);
console.table({
  'plain loop': { ms: +plain.toFixed(1), 'ns an answer': Math.round((plain / cells) * 1e6), ratio: 1 },
  'full marking, cold': { ms: +full.toFixed(1), 'ns an answer': Math.round((full / cells) * 1e6), ratio: +(full / plain).toFixed(1) },
}); // prettier-ignore

const file = process.argv[process.argv.indexOf('--json') + 1];
if (process.argv.includes('--json') && file) {
  writeFileSync(
    file,
    JSON.stringify({ marking: { ratioToPlain: full / plain, plainMs: plain, fullMs: full } }, null, 1),
  );
}
