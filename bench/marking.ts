/**
 * `npm run bench [-- --json FILE]`: marking of a made-up class against a plain loop, in the same run. The baseline
 * trims, lower-cases and compares each answer, turned to text before, with one key; marking reads the whole key of forty
 * questions of mixed kinds, gives credit, rule and feedback, and adds up totals. What counts is the ratio.
 */
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { MarkColumn } from '@/core/checking/markColumn';
import { ScoreColumn } from '@/core/checking/scoreColumn';
import { shownLine } from '@/core/content/shownLine';
import { kindOf, type Answer, type Question } from '@/core/kinds';
import { madeUpClass } from '@/core/madeUp/class';
import { wordList } from '@/core/answers/text/words/wordLists';
import { ownContextOf, readingOf } from '@/core/scoring/context';
import { total } from '@/core/scoring/total';
import { PAPER, PAPER_CONTENT, PAPER_QUESTIONS } from './paper';
import { missed, otherWordsAccepted, unrelatedCalledNear } from '../tests/misspelt';
import { lookAlikesOf } from './lookAlikes';
import { worstCases } from './worst';

type Attempts = (Answer | undefined)[][];
const ROUNDS = 9;
const path = { rules: PAPER_CONTENT.scoring, repeat: 1, late: null };

function classOf(students: number, questions: readonly Question[] = PAPER_QUESTIONS): Attempts {
  const attempts: Attempts = [];
  for (const { number, answers } of madeUpClass(questions, { seed: 11, students, neverStart: 0, repeat: 0 }))
    if (number === 1) attempts.push(questions.map(({ id }) => answers[id]));
  return attempts;
}

function columnsOf(questions: readonly Question[]): ScoreColumn[] {
  const paper = { ...PAPER, questions };
  return questions.map(
    (question) => new ScoreColumn(new MarkColumn(question, ownContextOf(paper, question)), paper),
  );
}

/** Full marking with cold memos: columns of marks and everyone's totals. */
function fullMarking(attempts: Attempts, questions: readonly Question[] = PAPER_QUESTIONS) {
  const columns = columnsOf(questions);
  const totals = attempts.map((answers) =>
    total(
      columns.map((column, at) => column.score(answers[at])),
      path,
    ),
  );
  return { columns, totals };
}

/** The effect of one changed key: its column anew, and the totals of those whose mark in it differs. */
function effectOfChange(
  attempts: Attempts,
  before: ReturnType<typeof fullMarking>,
  at: number,
  changed: Question,
) {
  const column = new ScoreColumn(new MarkColumn(changed, ownContextOf(PAPER, changed)), PAPER);
  let moved = 0;
  attempts.forEach((answers, index) => {
    const old = before.columns[at]?.score(answers[at]);
    const next = column.score(answers[at]);
    if (
      old &&
      old.earned.n === next.earned.n &&
      old.earned.d === next.earned.d &&
      old.waiting.n === next.waiting.n
    )
      return;
    const scores = before.columns.map((one, place) => (place === at ? next : one.score(answers[place])));
    const then = total(scores, path);
    const now = before.totals[index];
    if (now && then.score.n * now.score.d !== now.score.n * then.score.d) moved++;
  });
  return moved;
}

function timed(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number;

const median = (work: () => unknown): number => middle(Array.from({ length: ROUNDS }, () => timed(work)));

/** Two pieces of work in turns, so that a slower moment of the machine falls on both: their times, and the ratio. */
function inTurns(one: () => unknown, other: () => unknown): { one: number; other: number; ratio: number } {
  const rounds = Array.from({ length: ROUNDS }, () => [timed(one), timed(other)] as const);
  return {
    one: middle(rounds.map(([time]) => time)),
    other: middle(rounds.map(([, time]) => time)),
    ratio: middle(rounds.map(([first, second]) => second / first)),
  };
}

/** The same questions as new objects: nothing that was kept for one of them is known. */
const anew = (questions: readonly Question[]): Question[] => structuredClone([...questions]);

const textsOf = (attempts: Attempts, questions: readonly Question[] = PAPER_QUESTIONS): string[][] =>
  attempts.map((answers) =>
    questions.map((question, at) => {
      const answer = answers[at];
      return answer ? kindOf(question).answerText(question, answer) : '';
    }),
  );

function plainLoop(texts: readonly (readonly string[])[], keys: readonly string[]): number {
  let right = 0;
  for (const row of texts)
    for (let at = 0; at < keys.length; at++)
      if ((row[at] as string).trim().toLowerCase() === keys[at]) right++;
  return right;
}

const keysOf = (questions: readonly Question[]): string[] =>
  questions.map((question) =>
    kindOf(question)
      .shownRight(question, readingOf(question, PAPER_CONTENT))
      .map((answer) => shownLine(answer))
      .join()
      .toLowerCase(),
  );

/** Time and memory of a large class, in a process of its own: `--size N` prints them as JSON. */
function measureSize(students: number): { ms: number; peakMB: number } {
  const attempts = classOf(students);
  const start = performance.now();
  const { totals } = fullMarking(attempts);
  const ms = performance.now() - start;
  if (totals.length !== attempts.length) throw new Error('Somebody is missing');
  return { ms, peakMB: process.resourceUsage().maxRSS / 1024 };
}

const sizeAt = process.argv.indexOf('--size');
if (sizeAt > 0) {
  console.log(JSON.stringify(measureSize(Number(process.argv[sizeAt + 1]))));
  process.exit(0);
}

function apart(students: number): { ms: number; peakMB: number } {
  const run = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'bench/marking.ts', '--size', String(students)],
    { encoding: 'utf8' },
  );
  if (run.status !== 0) throw new Error(run.stderr);
  return JSON.parse(run.stdout.trim().split('\n').at(-1) ?? '') as { ms: number; peakMB: number };
}

/** What a list takes in memory. */
const held = (list: string): number => {
  const used = (): number => process.memoryUsage().arrayBuffers + process.memoryUsage().heapUsed;
  const before = used();
  wordList(list);
  return (used() - before) / 1e6;
};
const lists = Object.fromEntries(
  ['en-1', 'fr-1', 'es-1', 'pt-1', 'nl-1', 'de-2'].map((list) => [list, { MB: +held(list).toFixed(1) }]),
);
console.table(lists);

const STUDENTS = Number(process.env['STUDENTS'] ?? 10_000);
const attempts = classOf(STUDENTS);
const texts = textsOf(attempts);
const keys = keysOf(PAPER_QUESTIONS);
plainLoop(texts, keys);
const turns = inTurns(
  () => plainLoop(texts, keys),
  () => fullMarking(attempts, anew(PAPER_QUESTIONS)),
);
const { one: plain, other: full } = turns;
const marked = fullMarking(attempts);
const floodplain = PAPER_QUESTIONS.findIndex(
  (one) => one.kind === 'phrase' && one.variants.some(({ forms }) => forms.includes('floodplain')),
);
const question = PAPER_QUESTIONS[floodplain] as Extract<Question, { kind: 'phrase' }>;
const [first] = question.variants;
if (!first) throw new Error('No key');
const changed = {
  ...question,
  variants: [{ ...first, forms: [...first.forms, 'flood plain'] }, ...question.variants.slice(1)],
};
const effect = median(() => effectOfChange(attempts, marked, floodplain, changed));
const sizes = { 1_000: apart(1_000), 100_000: apart(100_000) };
const perStudent = sizes[100_000].ms / 100 / sizes[1_000].ms;

const round = (value: number, places = 2) => +value.toFixed(places);
console.log(
  `${STUDENTS} made-up students × ${PAPER_QUESTIONS.length} questions of mixed kinds, median of ${ROUNDS}`,
);
console.table({
  'a plain loop': { ms: round(plain), 'to a': 1 },
  'b full marking, cold': { ms: round(full), 'to a': round(turns.ratio) },
  'c effect of one key change': {
    ms: round(effect),
    'to a': round(effect / plain),
    'share of b': round(effect / full, 3),
  },
  '1 000 students': { ms: round(sizes[1_000].ms) },
  '100 000 students': { ms: round(sizes[100_000].ms), 'peak MB': round(sizes[100_000].peakMB, 0) },
  'a student of 100 000 to one of 1 000': { ratio: round(perStudent) },
});

/** Each kind by itself: its questions' full marking against the plain loop over the same answers. */
const kinds = [...new Set(PAPER_QUESTIONS.map(({ kind }) => kind))];
const byKind = Object.fromEntries(
  kinds.map((kind) => {
    const own = PAPER_QUESTIONS.filter((one) => one.kind === kind);
    const part = classOf(STUDENTS, own);
    const [ownTexts, ownKeys] = [textsOf(part, own), keysOf(own)];
    const { other, ratio } = inTurns(
      () => plainLoop(ownTexts, ownKeys),
      () => fullMarking(part, anew(own)),
    );
    return [kind, { questions: own.length, ms: round(other), 'to plain': round(ratio) }];
  }),
);
console.table(byKind);

/** What *small errors pass* makes of published misspellings, of other words and of unrelated ones. */
const shares = {
  'misspellings neither accepted nor near': missed(),
  'other words accepted': otherWordsAccepted(400),
  'unrelated words called near': unrelatedCalledNear(10_000),
};
console.table(
  Object.fromEntries(
    Object.entries(shares).map(([name, { count, of }]) => [
      name,
      { count, of, '%': round((100 * count) / of) },
    ]),
  ),
);

const worst = { ...worstCases(), 'look-alikes of 10 000 distinct answers': lookAlikesOf(10_000).ms };
console.table(Object.fromEntries(Object.entries(worst).map(([name, ms]) => [name, { ms: round(ms, 0) }])));

const at = process.argv.indexOf('--json');
const file = at > 0 ? process.argv[at + 1] : undefined;
if (file) {
  let before = {};
  try {
    before = JSON.parse(readFileSync(file, 'utf8')) as object;
  } catch {
    // A new file.
  }
  const figures = {
    marking: { ratioToPlain: turns.ratio, plainMs: plain, fullMs: full },
    effect: { shareOfFull: effect / full, ms: effect },
    scaling: { perStudent100kTo1k: perStudent, ms1k: sizes[1_000].ms, ms100k: sizes[100_000].ms },
    memory: { peakMB100k: sizes[100_000].peakMB },
    kinds: byKind,
    worst,
    shares,
    lists,
  };
  writeFileSync(file, JSON.stringify({ ...before, ...figures }, null, 1));
}
