import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { before, describe, test } from 'node:test';
import papa from 'papaparse';
import type { Answer } from '@/core/kinds';
import { emptyContent } from '@/core/quiz/newQuiz';
import { newQuestion } from '@/core/quiz/newQuestion';
import { ASPECTS } from '@/core/quiz/plan/plan';
import type { Attempt } from '@/core/quiz/work/attempt';
import { markHere } from '@/server/mark/markHere';
import { draftPaper } from '@/store/quiz/quizzes';
import { settle } from '@/store/quiz/revisions';
import { openQuiz, showAspects } from '@/store/quiz/standing';
import { db } from '@/store/records/db';
import { readyByQuestion } from '@/ui/words/readyList';
import { spokenCell } from '@/desks/check/cellWords';
import { handPlace } from '@/desks/check/byHand/waiting';
import { handQuestion } from '@/views/byHand';
import { checkTable, spreads } from '@/views/check';
import { answersFile, scoresFile } from '@/views/files';
import { openQuestion } from '@/views/oneQuestion';
import { quizCounts } from '@/views/tray';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf } from '../support/sat';
import { putStudents } from '../support/school';
import { phraseQuestion, pickOneQuestion, quizOf, share, variant, type Placing } from '../support/support';

/**
 * A paper with one question that counts, 2 points, and four that carry none: a written one, a choice without a key, a
 * phrase without a key, and a phrase with one that is answered wrongly and would cost points. Whoever looks is told 2 of 2,
 * and nowhere that something waits, is wrong, or lacks a key.
 */
const NONE: Placing = { standing: 'notMarked' };
const written = { ...newQuestion('written', undefined, () => 'free'), ...NONE };
const questions = [
  phraseQuestion([variant('v', ['silt'])], {}, { id: 'counts', points: share('2') }),
  written,
  pickOneQuestion({ yes: '0', no: '0' }, { id: 'poll', points: share('3'), ...NONE }),
  phraseQuestion([], {}, { id: 'ask', ...NONE }),
  phraseQuestion(
    [variant('k', ['levee'])],
    {},
    { id: 'keyed', penalty: { kind: 'share', share: share('1') }, ...NONE },
  ),
];
const UNMARKED = ['free', 'poll', 'ask', 'keyed'];
const answers: Record<string, Answer> = {
  counts: { kind: 'phrase', text: 'silt' },
  free: { kind: 'written', text: 'I have seen the river in spring' },
  poll: { kind: 'pickOne', option: 'yes' },
  ask: { kind: 'phrase', text: 'a bridge' },
  keyed: { kind: 'phrase', text: 'gorge' },
};

let quizId = '';
before(async () => {
  await db.meta.put({ key: 'started', value: 1 });
  await putStudents([{ id: 'ada', name: 'Ada Marsh', number: '1' }]);
  quizId = await quizOf({ ...emptyContent('Rivers'), order: questions.map(({ id }) => id) }, questions);
});

const csv = (text: string): Record<string, string> => {
  const [head = [], row = []] = papa.parse(text.replace('\uFEFF', '').trim(), { delimiter: ',' }).data;
  return Object.fromEntries(head.map((name, at) => [name, row[at] ?? '']));
};

describe('a question that carries no points', () => {
  test('needs no key before the quiz is opened', async () => {
    assert.equal((await quizCounts(quizId)).keyless, 0);
    assert.deepEqual([...readyByQuestion(await draftPaper(quizId)).keys()], []);
  });

  test('is called so on the student’s page, and is no work for the teacher', async () => {
    await openQuiz(quizId, { from: 0, due: null, grace: 0, until: null });
    await showAspects(quizId, ASPECTS, 'show');
    const packet = await studentDesk.begin(await addressOf(quizId, 'ada'));
    assert.ok(packet.state === 'working', packet.state);
    assert.deepEqual(
      packet.working.questions.map(({ points }) => points.n),
      [2, 0, 0, 0, 0],
    );
    assert.equal(packet.cover.points.n, 2);
    const { attemptId } = packet.working;
    await db.attempts.update(attemptId, { answers } as Partial<Attempt>);
    await studentDesk.handIn(await addressOf(quizId, 'ada'), attemptId);
    await settle(quizId, Date.now());
  });

  test('is neither right nor wrong nor waiting on the slip', async () => {
    const packet = await studentDesk.openPaper(await addressOf(quizId, 'ada'));
    assert.ok(packet.state === 'finished', packet.state);
    const { score, parts } = packet.slip;
    assert.deepEqual([score?.earned.n, score?.outOf.n, score?.waiting.n], [2, 2, 0]);
    assert.deepEqual(
      parts.map(({ result, points }) => [result?.verdict, result?.standing, points.n]),
      [['right', null, 2], ...UNMARKED.map(() => ['unmarked', 'notMarked', 0])],
    );
  });

  test('waits nowhere on Check, By hand and in the numbers of the Tray and the Shelf', async () => {
    const table = await checkTable(quizId);
    assert.equal(table.waiting, 0);
    assert.equal((await quizCounts(quizId)).waiting, 0);
    for (const { share: mean, waiting, points } of table.questions.slice(1))
      assert.deepEqual([mean, waiting, points.n], [null, 0, 0]);
    const [row] = table.rows;
    assert.deepEqual(
      row?.cells.slice(1).map((cell) => spokenCell(cell)),
      [
        'Question 2: carries no points, “I have seen the river in spring”',
        'Question 3: carries no points, “yes”',
        'Question 4: carries no points, “a bridge”',
        'Question 5: carries no points, “gorge”',
      ],
    );
    assert.equal(handPlace(table, table.rows, null), null);
    assert.deepEqual((await handQuestion(quizId, 'free'))?.answers, []);
    const [bundles] = (await openQuestion(quizId, 'keyed')) ?? [];
    assert.equal(bundles?.bundles[0]?.mark.verdict, 'unmarked');
    const { keyed } = await spreads(quizId);
    assert.deepEqual([keyed?.wrong, keyed?.unmarked], [0, 1]);
  });

  test('opened on Check, says in one line why it earns nothing', async () => {
    const { attemptId = '' } = (await checkTable(quizId)).rows[0] ?? {};
    const opened = await classDesk.openAnswer(quizId, attemptId, 'keyed');
    assert.deepEqual(
      opened?.trial.trace.map(({ text }) => text),
      ['The question carries no points: the answer is not marked'],
    );
  });

  test('has 0 points and no rule in the files, and waits in none', async () => {
    const answersRow = csv(new TextDecoder().decode(await answersFile(quizId, 'csv')));
    for (const number of [2, 3, 4, 5]) {
      assert.equal(answersRow[`Points for Q${number}`], '0');
      assert.equal(answersRow[`Rule for Q${number}`], '');
    }
    const scoresRow = csv(await scoresFile(quizId, ['name', 'score', 'outOf', 'waiting']));
    assert.deepEqual(Object.values(scoresRow), ['Ada Marsh', '2', '2', '0']);
  });

  test('is told as unmarked by the endpoint', async () => {
    const bytes = await classDesk.saveQuizFile(quizId, { students: 'with', author: '', note: '' });
    const body = new FormData();
    body.set('traces', 'yes');
    body.set('quiz', new Blob([new Uint8Array(bytes ?? assert.fail())]));
    const response = await markHere(
      new Request('http://127.0.0.1/api/mark', { method: 'POST', body }),
      Date.now(),
    );
    interface Marked {
      readonly students: {
        attempts: { marks: { verdict: string; waiting: { about: number }; trace: string[] }[] }[];
      }[];
    }
    const text = await response.text();
    const { students } = JSON.parse(text) as Marked;
    assert.ok(students[0]?.attempts[0], text);
    assert.deepEqual(
      students[0].attempts[0].marks.slice(1).map((one) => [one.verdict, one.waiting.about, one.trace]),
      UNMARKED.map(() => ['unmarked', 0, ['The question carries no points: the answer is not marked']]),
    );
  });
});
