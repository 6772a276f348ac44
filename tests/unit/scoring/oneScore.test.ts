import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { before, describe, test } from 'node:test';
import papa from 'papaparse';
import { toDecimalText, type Fraction } from '@/core/figures/fraction';
import type { Answer } from '@/core/kinds';
import type { Attempt } from '@/core/quiz/work/attempt';
import { emptyContent } from '@/core/quiz/newQuiz';
import { markHere } from '@/server/mark/markHere';
import { db } from '@/store/records/db';
import { setOverride } from '@/store/work/overrides';
import { settle } from '@/store/quiz/revisions';
import { openQuiz, showAspects } from '@/store/quiz/standing';
import { checkTable } from '@/views/check';
import { answersFile, scoresFile } from '@/views/files';
import { handBack } from '@/views/handBack';
import { printed } from '@/views/printed';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { putStudents } from '../support/school';
import { addressOf } from '../support/sat';
import { phraseQuestion, pickOneQuestion, share, variant, quizOf } from '../support/support';

/**
 * One class with everything on that turns what answers earn into a score: lateness with a cap, the price of a repeat,
 * another maximum, rounding, own scores. Whoever asks for a score, by whatever road, is told the same one.
 */

const DUE = Date.parse('2026-03-02T12:00:00Z');
const HOUR = 3_600_000;
const say = (text: string): Answer => ({ kind: 'phrase', text });
const pick = (option: string): Answer => ({ kind: 'pickOne', option });

/**
 * Worked out by hand. The paper has 4 + 2 = 6 points; scores are out of 20, rounded to tenths of a point. Each hour late
 * takes 10 % of what was earned, at most 30 %; a second attempt takes 25 %; the best attempt counts.
 * - Ada, on time: 4 + 2 = 6 of 6, that is 20.
 * - Bo, 2 hours late: 6 − 20 % = 4.8 of 6, that is 16.
 * - Cy, 9 hours late: 6 − 30 % (the cap) = 4.2 of 6, that is 14.
 * - Di, first 2 of 6 (6.666… rounds to 6.7); again, right, 6 − 25 % = 4.5 of 6, that is 15: this one counts.
 * - Ed, 1 of 4 by the teacher’s own score and 2: 3 of 6, 1 hour late, 2.7 of 6, that is 9.
 * - Flo, half of 4 points and a wrong one: 2 of 6, that is 6.666…, rounded 6.7.
 */
const EXPECTED: Readonly<Record<string, string>> = {
  'Ada Marsh': '20', 'Bo Weir': '16', 'Cy Brook': '14', 'Di Ford': '15', 'Ed Reed': '9', 'Flo Mere': '6.7',
}; // prettier-ignore

const work: [student: string, number: number, hoursLate: number, q1: string, q2: string][] = [
  ['Ada Marsh', 1, -1, 'silt', 'levee'],
  ['Bo Weir', 1, 2, 'silt', 'levee'],
  ['Cy Brook', 1, 9, 'silt', 'levee'],
  ['Di Ford', 1, -3, 'loam', 'gorge'],
  ['Di Ford', 2, -2, 'silt', 'levee'],
  ['Ed Reed', 1, 1, 'sand', 'levee'],
  ['Flo Mere', 1, -1, 'loam', 'gorge'],
];
const idOf = (name: string) => name.slice(0, 2).toLowerCase();

let quizId = '';
before(async () => {
  await db.meta.put({ key: 'started', value: 1 });
  const content = emptyContent('Rivers');
  const names = [...new Set(work.map(([name]) => name))];
  await putStudents(names.map((name, at) => ({ id: idOf(name), name, number: `${at + 1}` })));
  quizId = await quizOf(
    {
      ...content,
      order: ['q1', 'q2'],
      attempts: { most: 2, counts: 'best' },
      late: { kind: 'steps', step: 'hour', share: share('1/10'), of: 'earned', cap: share('3/10') },
      scoring: {
        ...content.scoring,
        repeat: { price: share('1/4'), least: share('1/2') },
        outOf: share('20'),
        rounding: 10,
      },
    },
    [
      phraseQuestion(
        [variant('v', ['silt']), variant('w', ['loam'], '1/2')],
        {},
        { id: 'q1', points: share('4') },
      ),
      pickOneQuestion({ levee: '1', gorge: '0' }, { id: 'q2', points: share('2') }),
    ],
  );
  await openQuiz(quizId, { from: DUE - 9 * HOUR, due: DUE, grace: 0, until: DUE + 24 * HOUR });
  await showAspects(quizId, ['score'], 'show');
  await settle(quizId, DUE - 4 * HOUR);
  const { standing } = (await db.quizzes.get(quizId)) ?? assert.fail();
  await db.attempts.bulkAdd(
    work.map(([name, number, late, q1, q2], at): Attempt => {
      const handedInAt = DUE + late * HOUR;
      return {
        id: `${idOf(name)}${number}`,
        quizId,
        studentId: idOf(name),
        number,
        revision: standing.live ?? 1,
        openedAt: handedInAt - 1000,
        savedAt: handedInAt,
        handedInAt,
        timeKnown: true,
        source: 'sat',
        seed: 0,
        saves: {},
        hints: {},
        seq: at + 1,
        answers: { q1: say(q1), q2: pick(q2) },
      };
    }),
  );
  await db.meta.put({ key: `seq:${quizId}`, value: work.length });
  await setOverride({
    quizId,
    attemptId: 'ed1',
    questionId: 'q1',
    points: share('1'),
    reason: 'part of it',
    at: DUE,
    gave: null,
  });
});

const written = (value: Fraction | undefined | null) => (value ? toDecimalText(value, 6) : '');
const names = Object.keys(EXPECTED);
const csv = (text: string, heading: string): Record<string, string> => {
  const [head = [], ...rows] = papa.parse(text.replace('\uFEFF', '').trim(), { delimiter: ',' }).data;
  return Object.fromEntries(
    rows.map((row) => [row[head.indexOf('Name')] ?? '', row[head.indexOf(heading)] ?? '']),
  );
};

const savedQuiz = async (): Promise<Uint8Array> =>
  (await classDesk.saveQuizFile(quizId, { students: 'with', author: '', note: '' })) ?? assert.fail();

const postFile = async (form: 'json' | 'csv'): Promise<string> => {
  const bytes = await savedQuiz();
  const parts = new FormData();
  parts.set('quiz', new Blob([new Uint8Array(bytes)]));
  const accept = form === 'csv' ? 'text/csv' : 'application/json';
  const request = new Request('http://127.0.0.1/api/mark', {
    method: 'POST',
    body: parts,
    headers: { accept },
  });
  const response = await markHere(request, DUE + 48 * HOUR);
  assert.equal(response.status, 200, await response.clone().text());
  return response.text();
};

const ROADS: Record<string, () => Promise<Record<string, string>>> = {
  'the table on Check': async () => {
    const { rows } = await checkTable(quizId);
    return Object.fromEntries(
      rows.filter(({ stands }) => stands).map((row) => [row.name, written(row.recorded?.score)]),
    );
  },
  'the hand-back table': async () =>
    Object.fromEntries((await handBack(quizId)).map((row) => [row.name, written(row.recorded?.score)])),
  'the slip on the student’s page': async () =>
    Object.fromEntries(
      await Promise.all(
        names.map(async (name) => {
          // Of several attempts the slip shows one, and says what is recorded.
          const packet = await studentDesk.openPaper(await addressOf(quizId, idOf(name)));
          assert.ok(packet.state === 'finished', packet.state);
          return [name, written(packet.attempts.recorded?.score ?? packet.slip.score?.earned)] as const;
        }),
      ),
    ),
  'the printed slip': async () => {
    const { slips } = await printed(quizId, 'with');
    return Object.fromEntries(
      slips.map((one) => [one.name, written(one.recorded?.score ?? one.slip.score?.earned)]),
    );
  },
  'the file of scores': async () => csv(await scoresFile(quizId, ['name', 'score', 'outOf']), 'Score'),
  'the endpoint, in JSON': async () => {
    const { students } = JSON.parse(await postFile('json')) as {
      students: { student: string; recorded: { score: { about: number } } }[];
    };
    return Object.fromEntries(students.map((one) => [one.student, String(one.recorded.score.about)]));
  },
  'the endpoint, as a file of scores': async () => csv(await postFile('csv'), 'Score'),
  'the command line': async () => {
    const folder = mkdtempSync(join(tmpdir(), 'yentrel-'));
    const file = join(folder, 'quiz.yentrel');
    writeFileSync(file, await savedQuiz());
    const text = execFileSync(process.execPath, ['--import', 'tsx', 'scripts/mark.ts', file], {
      encoding: 'utf8',
    });
    rmSync(folder, { recursive: true });
    return csv(text, 'Score');
  },
};

describe('one score, by every road', () => {
  for (const [road, scores] of Object.entries(ROADS))
    test(road, async () => assert.deepEqual(await scores(), EXPECTED));

  test('the printed slip of a repeat is the slip on screen, with its price', async () => {
    const packet = await studentDesk.openPaper(await addressOf(quizId, idOf('Di Ford')));
    assert.ok(packet.state === 'finished');
    const [paper] = (await printed(quizId, 'with', [idOf('Di Ford')])).slips;
    assert.deepEqual(paper?.slip.score?.earned, packet.slip.score?.earned);
    assert.equal(written(paper?.slip.score?.earned), '15');
  });

  test('the answers file has each attempt with what it earned, question by question', async () => {
    const text = new TextDecoder().decode(await answersFile(quizId, 'csv'));
    const [head = [], ...rows] = papa.parse(text.replace('\uFEFF', '').trim(), { delimiter: ',' }).data;
    const earned = head.flatMap((name, at) => (/^points/i.test(name) || /points$/i.test(name) ? [at] : []));
    assert.equal(earned.length, 2, head.join(' | '));
    const all = rows.map((row) => [row[0], ...earned.map((at) => row[at])]);
    assert.deepEqual(all, [
      ['Ada Marsh', '4', '2'],
      ['Bo Weir', '4', '2'],
      ['Cy Brook', '4', '2'],
      ['Di Ford', '2', '0'],
      ['Di Ford', '4', '2'],
      ['Ed Reed', '1', '2'],
      ['Flo Mere', '2', '0'],
    ]);
  });
});
