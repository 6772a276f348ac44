import { idOf } from '../../../demo/words';
import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import papa from 'papaparse';
import { canonical } from '@/core/figures/deepEqual';
import type { Answer } from '@/core/kinds';
import type { Attempt } from '@/core/quiz/work/attempt';
import { db } from '@/store/records/db';
import { ofQuiz } from '@/store/records/ofQuiz';
import { ensureDemo } from '@/store/demo/demo';
import { DEMO_QUIZ } from '../../demoQuiz';
import { setOverride } from '@/store/work/overrides';
import { checkTable } from '@/views/check';
import { classDesk, fileDesk } from '@/workers/classDesk';

const ODD: Record<string, Answer> = {
  [idOf('q-cutting')]: { kind: 'unread', text: '=HYPERLINK("https://rivers.example")' },
  'q-gone': { kind: 'phrase', text: 'to a question that is no longer there' },
  [idOf('q-oxbow')]: { kind: 'phrase', text: '  -5\u0007 \u202Ereversed\nsecond line ' },
};

/** Takes the exported file in again, changed on the way. */
async function again(form: 'csv' | 'xlsx', change: (rows: string[][]) => string[][] = (rows) => rows) {
  const bytes = await classDesk.answersFile(DEMO_QUIZ, form);
  const text = new TextDecoder().decode(bytes).replace(/^\uFEFF/, '');
  const changed =
    form === 'xlsx'
      ? bytes
      : new TextEncoder().encode(
          papa.unparse(change(papa.parse(text.trim(), { delimiter: ',' }).data), { newline: '\r\n' }),
        );
  const read = await fileDesk.readFile(changed);
  assert.ok(read.ok, JSON.stringify(read));
  const preview = await classDesk.previewFile(DEMO_QUIZ, read.table, null, null);
  const report = await classDesk.importFile(DEMO_QUIZ, read.table, [...preview.columns], preview.choices);
  return { preview, report };
}
const state = async () =>
  canonical([
    await checkTable(DEMO_QUIZ),
    await db.overrides.toArray(),
    (await db.attempts.toArray()).map(({ answers, handedInAt, openedAt }) => [answers, handedInAt, openedAt]),
  ]);

beforeEach(async () => {
  await db.delete();
  await db.open();
  await ensureDemo();
  const [first, second] = await ofQuiz.attempts(DEMO_QUIZ).toArray();
  assert.ok(first && second);
  const { content } = (await db.quizzes.get(DEMO_QUIZ)) ?? {};
  assert.ok(content);
  await db.quizzes.update(DEMO_QUIZ, { content: { ...content, attempts: { most: 3, counts: 'best' } } });
  // One answer of every odd kind, a second attempt from a file, and an own score that no decimal can say.
  await db.attempts.put({ ...first, answers: { ...first.answers, ...ODD } });
  const more: Attempt = {
    ...second,
    id: 'file-1',
    studentId: 'demo-26',
    number: 1,
    source: 'file',
    timeKnown: true,
    seq: 200,
  };
  await db.attempts.bulkPut([
    more,
    { ...more, id: 'file-2', number: 2, seq: 201, handedInAt: (more.handedInAt ?? 0) + 61_500, answers: ODD },
  ]);
  await db.meta.put({ key: `seq:${DEMO_QUIZ}`, value: 201 });
  await setOverride({
    quizId: DEMO_QUIZ,
    attemptId: second.id,
    questionId: idOf('q-oxbow'),
    points: { n: 2, d: 3 },
    reason: 'two of three',
    at: 5,
    gave: null,
  });
});

describe('all answers as a file', () => {
  for (const form of ['csv', 'xlsx'] as const)
    test(`${form}: taken in again, it changes nothing`, async () => {
      const before = await state();
      const { preview, report } = await again(form);
      assert.deepEqual(
        preview.problems.map(({ text }) => text),
        [
          '“=HYPERLINK("https://rivers.example")” is not one of the options: it is kept as it is, and is for you to mark',
          '“=HYPERLINK("https://rivers.example")” is not one of the options: it is kept as it is, and is for you to mark',
          'this is attempt 2, and the quiz allows 1: it is imported all the same',
        ],
      );
      assert.deepEqual(
        [report.added, report.changed, report.unchanged, report.newStudents, report.refused],
        [0, 0, 26, 0, []],
      );
      assert.equal(await state(), before);
    });
  test('points that were changed come back as own scores, and nothing else', async () => {
    const table = await checkTable(DEMO_QUIZ);
    const name = table.rows[3]?.name ?? '';
    const { report } = await again('csv', (rows) => {
      const at = rows[0]?.indexOf('Points for Q2') ?? -1;
      assert.ok(at > 0);
      return rows.map((row) =>
        row[0] === name ? row.map((cell, column) => (column === at ? '1.25' : cell)) : row,
      );
    });
    assert.deepEqual([report.changed, report.unchanged], [1, 25]);
    const own = (await db.overrides.toArray()).filter(({ reason }) => reason === 'from the answer file');
    assert.deepEqual(
      own.map(({ points, attemptId }) => [points, attemptId]),
      [[{ n: 5, d: 4 }, table.rows[3]?.attemptId]],
    );
  });
  test('an answer that was changed in a file’s attempt is taken; one that was given on screen is refused', async () => {
    const { report } = await again('csv', (rows) =>
      rows.map((row) =>
        row[1] === '826' && row[4] === '2' ? row.map((cell, at) => (at === 7 ? 'upper course' : cell)) : row,
      ),
    );
    assert.deepEqual([report.changed, report.refused.length], [1, 0]);
    const sat = await again('csv', (rows) =>
      rows.map((row, line) => (line === 1 ? row.map((cell, at) => (at === 7 ? 'lower course' : cell)) : row)),
    );
    assert.equal(sat.report.refused.length, 1);
  });
  test('what stands in it: times to the second, the rule that decided, and nothing that a spreadsheet would run', async () => {
    const text = new TextDecoder()
      .decode(await classDesk.answersFile(DEMO_QUIZ, 'csv'))
      .replace(/^\uFEFF/, '');
    const rows = papa.parse(text.trim(), { delimiter: ',' }).data;
    assert.deepEqual(rows[0]?.slice(0, 10), [
      'Student',
      'Number',
      'Email',
      'Groups',
      'Attempt',
      'Opened',
      'Handed in',
      'Q1',
      'Points for Q1',
      'Rule for Q1',
    ]);
    assert.match(rows[1]?.[6] ?? '', /^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d$/);
    assert.ok(
      rows.slice(1).every((row) => row.every((cell) => !/^\s*[=+@-]/.test(cell) || /^-?[\d.]+$/.test(cell))),
    );
    assert.ok(rows.some((row) => row[12] === 'Own score: two of three'));
    assert.ok(rows.some((row) => /Matches/.test(row[12] ?? '')));
  });
});
