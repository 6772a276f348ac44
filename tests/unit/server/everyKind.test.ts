import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, test } from 'node:test';
import papa from 'papaparse';
import { toDecimalText } from '@/core/figures/fraction';
import { writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { FORM_VERSION, type QuizFile } from '@/core/formats/quizFile/schema';
import { KIND_NAMES, kindOf, readCell, type Question } from '@/core/kinds';
import { newPlacement } from '@/core/quiz/newPlacement';
import { contextOf } from '@/core/scoring/context';
import { markAttempt } from '@/core/scoring/markAttempt';
import { verdictOfScore } from '@/core/scoring/scoreQuestion';
import { markHere } from '@/server/mark/markHere';
import { FLOW } from '../../../demo/quizzes/flow';
import { JOURNEY } from '../../../demo/quizzes/journey';
import { RIVERS } from '../../../demo/quizzes/rivers';
import { JOURNEY_WRITTEN } from '../../../demo/work/journey';
import { RIVERS_WRITTEN } from '../../../demo/work/rivers';
import { share, written } from '../support/support';

/** A question of every kind, with a class's answers as they were written: marked by every road from outside. */

const first = (questions: readonly Question[], kind: Question['kind']): Question =>
  questions.find((question) => question.kind === kind) as Question;
const questions = [
  ...JOURNEY.questions,
  first(RIVERS.questions, 'pickOne'),
  first(RIVERS.questions, 'phrase'),
  first(FLOW.questions, 'number'),
];
const NUMBERS = ['0.5', '2', '1', '1.9', '2 m²', 'two', '0', '1.5'];
const column = (kind: Question['kind'], at: number): string =>
  RIVERS_WRITTEN[at % RIVERS_WRITTEN.length]?.[RIVERS.questions.indexOf(first(RIVERS.questions, kind))] ?? '';
const students = JOURNEY_WRITTEN.map((texts, at) => ({
  name: `Student ${at + 1}`,
  texts: [...texts, column('pickOne', at), column('phrase', at), NUMBERS[at % NUMBERS.length] ?? ''],
}));

const file: QuizFile = {
  format: 'yentrel-quiz',
  version: FORM_VERSION,
  quiz: {
    id: 'every-kind',
    content: { ...JOURNEY.content, zone: 'UTC', order: questions.map(({ id }) => id) },
    questions,
    placements: questions.map(({ id }) => newPlacement(id)),
    createdAt: 0,
    changedAt: 0,
  },
  share: null,
  class: null,
};
const paper = file.quiz;
const asked = questions
  .map((question, at) => ({ question, at }))
  .filter(({ question }) => kindOf(question).asks);

/** What marking gives, without any road: verdict and points of each question. */
const EXPECTED = Object.fromEntries(
  students.map(({ name, texts }) => {
    const answers = Object.fromEntries(
      questions.flatMap((question, at) => {
        const { answer } = readCell(question, texts[at] ?? '', contextOf(paper, question));
        return answer ? [[question.id, answer]] : [];
      }),
    );
    const scores = markAttempt(paper, answers);
    return [name, scores.map((score) => [verdictOfScore(score), written(score.earned)])];
  }),
);
/** The class as an answer file: a column a question. */
const CSV = papa.unparse(
  [
    ['Student', ...asked.map((_, number) => `Q${number + 1}`)],
    ...students.map(({ name, texts }) => [name, ...asked.map(({ at }) => texts[at] ?? '')]),
  ],
  { newline: '\r\n' },
);
const bytes = writeQuizFile(
  { ...file, quiz: { ...paper, questions: withoutPictures(questions) } },
  new Map(),
);

/** Pictures are files of their own, and decide nothing. */
function withoutPictures(all: readonly Question[]): Question[] {
  return all.map((question) => ({
    ...question,
    text: question.text.filter(({ type }) => type !== 'picture'),
    ...(question.kind === 'spot' && { picture: null }),
  })) as Question[];
}

interface Marked {
  problems: string[];
  students: {
    student: string;
    attempts: { marks: { verdict: string; points: { exact: string } }[] }[];
  }[];
}
async function posted(request: Request): Promise<Marked> {
  const response = await markHere(request, Date.parse('2026-01-10T12:00:00Z'));
  assert.equal(response.status, 200, response.status === 200 ? '' : await response.clone().text());
  return (await response.json()) as Marked;
}
const got = ({ students: marked }: Marked) =>
  Object.fromEntries(
    marked.map(({ student, attempts }) => [
      student,
      attempts[0]?.marks.map(({ verdict, points }) => [verdict, points.exact]),
    ]),
  );
describe('a question of every kind from outside', () => {
  test('each kind is there, with right answers and with others', () => {
    assert.deepEqual(new Set(questions.map(({ kind }) => kind)), new Set(KIND_NAMES));
    for (const { question, at } of asked) {
      const found = new Set(students.map(({ name }) => EXPECTED[name]?.[at]?.[0]));
      assert.ok(found.size > 1, `${question.kind}: ${[...found].join()}`);
    }
  });

  test('through the endpoint, as JSON', async () => {
    const attempts = students.map(({ name, texts }) => ({
      student: name,
      answers: Object.fromEntries(asked.map(({ at }, number) => [String(number + 1), texts[at] ?? ''])),
    }));
    const body = JSON.stringify({ quiz: file, attempts });
    const headers = { 'content-type': 'application/json' };
    const marked = await posted(new Request('http://127.0.0.1/api/mark', { method: 'POST', body, headers }));
    assert.deepEqual(marked.problems, []);
    assert.deepEqual(got(marked), EXPECTED);
  });

  test('through the endpoint, as a quiz file and an answer file', async () => {
    const form = new FormData();
    form.set('quiz', new Blob([new Uint8Array(bytes)]), 'every.yentrel');
    form.set('answers', new Blob([CSV]), 'answers.csv');
    const marked = await posted(new Request('http://127.0.0.1/api/mark', { method: 'POST', body: form }));
    assert.deepEqual(marked.problems, []);
    assert.deepEqual(got(marked), EXPECTED);
  });

  test('by numbers that counted notes, as they once did; refused where they can mean two', async () => {
    const text = (name: string) => students.find((one) => one.name === name)?.texts ?? [];
    const [first] = students;
    const body = (numbers: readonly number[]) =>
      JSON.stringify({
        quiz: file,
        attempts: [
          {
            student: first?.name,
            answers: Object.fromEntries(
              numbers.map((number) => [String(number), text(first?.name ?? '')[number - 1] ?? '']),
            ),
          },
        ],
      });
    const post = (numbers: readonly number[]) =>
      new Request('http://127.0.0.1/api/mark', {
        method: 'POST',
        body: body(numbers),
        headers: { 'content-type': 'application/json' },
      });
    const marked = await posted(post(asked.map(({ at }) => at + 1)));
    assert.deepEqual(got(marked), { [first?.name ?? '']: EXPECTED[first?.name ?? ''] });
    const after = asked.find(({ at }, number) => at !== number);
    assert.ok(after, 'the paper has a note before a question');
    const response = await markHere(post([after.at + 1]), 0);
    assert.equal(response.status, 422);
    assert.match(await response.text(), /name the questions by their ids/);
  });

  test('through the command line', () => {
    const folder = mkdtempSync(join(tmpdir(), 'yentrel-'));
    writeFileSync(join(folder, 'every.yentrel'), bytes);
    writeFileSync(join(folder, 'answers.csv'), CSV);
    const text = execFileSync(
      process.execPath,
      ['--import', 'tsx', 'scripts/mark.ts', join(folder, 'every.yentrel'), join(folder, 'answers.csv')],
      { encoding: 'utf8' },
    );
    rmSync(folder, { recursive: true });
    const [heads = [], ...rows] = papa.parse(text.replace(/^\uFEFF/, '').trim(), {
      delimiter: ',',
    }).data;
    const columns = asked.map((_, number) => heads.findIndex((head) => head.startsWith(`${number + 1}. `)));
    assert.deepEqual(
      Object.fromEntries(rows.map((row) => [row[0], columns.map((one) => row[one])])),
      Object.fromEntries(
        students.map(({ name }) => [
          name,
          asked.map(({ at }) => {
            const [verdict, points = '0'] = EXPECTED[name]?.[at] ?? [];
            return verdict === 'waits' ? '' : toDecimalText(share(points));
          }),
        ]),
      ),
    );
  });
});
