import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { db } from '@/store/records/db';
import { openQuiz, setQuizTo } from '@/store/quiz/standing';
import { checkTable } from '@/views/check';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { putStudents } from '../support/school';
import { addressOf, sent } from '../support/sat';
import { anHourIn, HOUR, say, START } from '../support/openQuiz';
import { phraseQuestion, quizOf, variant } from '../support/support';

beforeEach(anHourIn);

/** A quiz, class, student, attempt and two questions of some names; only the second question is answered. */
async function sat(name: string, other: string) {
  await db.delete();
  await db.open();
  await putStudents([{ id: name, name: 'Ada Marsh' }], name);
  const questions = [name, other].map((id) => phraseQuestion([variant('v', ['silt'])], {}, { id }));
  const made = await quizOf({ ...emptyContent('Rivers', 'UTC'), order: [name, other] }, questions);
  await setQuizTo(made, [{ classId: name, group: null }]);
  await openQuiz(made, { from: START, due: null, grace: 0, until: START + 24 * HOUR });
  const at = await addressOf(made, name);
  const begun = await studentDesk.begin(at);
  assert.equal(begun.state, 'working');
  const attemptId = begun.state === 'working' ? begun.working.attemptId : '';
  assert.deepEqual(begun.state === 'working' && begun.working.answers, {});
  await studentDesk.saveAnswer(at, sent(attemptId, other, say('silt')));
  await studentDesk.handIn(at, attemptId);
  const { rows } = await checkTable(made);
  const handed = await classDesk.handBack(made);
  const tray = await classDesk.tray(made);
  const opened = await classDesk.openAnswer(made, attemptId, name);
  return {
    cells: rows.map(({ cells }) => cells.map((cell) => [cell?.verdict, cell?.earned])),
    recorded: handed.map(({ recorded }) => recorded?.score),
    tray: tray.map(({ state }) => state),
    given: opened?.answer ?? null,
  };
}

test('a class in which everything is named as objects name what they have is as any other', async () => {
  const named = await sat('constructor', 'q-2');
  assert.deepEqual(named, await sat('q-1', 'q-2'));
  assert.deepEqual(named.recorded, [{ n: 1, d: 1 }]);
});
