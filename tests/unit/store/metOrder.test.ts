import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import papa from 'papaparse';
import { emptyContent } from '@/core/quiz/newQuiz';
import { startAttempt } from '@/store/work/attempts';
import { db } from '@/store/records/db';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { filledQuestion } from '../support/filled';
import { addressOf, handInAttempt, keepAnswer } from '../support/sat';
import { putStudents } from '../support/school';
import { openAlways, phraseQuestion, quizOf, variant } from '../support/support';

const IDS = ['a', 'b', 'c', 'd'];
const ask = (id: string) => phraseQuestion([variant('v', ['silt'])], {}, { id });
const newQuiz = (shuffled: boolean) =>
  quizOf({ ...emptyContent('Rivers'), shuffled, order: ['n', ...IDS] }, [
    { ...filledQuestion('note', {}), id: 'n' },
    ...IDS.map(ask),
  ]);

beforeEach(async () => {
  await db.delete();
  await db.open();
  await putStudents(Array.from({ length: 8 }, (_, at) => ({ id: `s${at}`, name: `Student ${at}` })));
});

/** The order in which a student meets the questions, and then hands them in. */
async function sit(quizId: string, studentId: string): Promise<string[]> {
  const attempt = await startAttempt(quizId, studentId);
  assert.ok(attempt);
  const packet = await studentDesk.openPaper(await addressOf(quizId, studentId));
  assert.ok(packet.state === 'working', packet.state);
  await keepAnswer(attempt.id, 'a', { kind: 'phrase', text: 'silt' });
  assert.ok((await handInAttempt(attempt.id)).ok);
  return packet.working.questions.map(({ id }) => id).filter((id) => id !== 'n');
}

test('slip and file name the questions as the student met them, beside their own numbers', async () => {
  const id = await newQuiz(true);
  await openAlways(id);
  const met = new Map<string, string[]>();
  for (let at = 0; at < 8; at++) met.set(`Student ${at}`, await sit(id, `s${at}`));
  assert.ok(new Set([...met.values()].map(String)).size > 1, 'they met them differently');
  const { slips } = await classDesk.printed(id, 'with');
  assert.equal(slips.length, 8);
  for (const { name, slip } of slips)
    assert.deepEqual(
      slip.parts.map((part) => [part.number, part.met ?? part.number]),
      IDS.map((question, at) => [at + 1, (met.get(name)?.indexOf(question) ?? -1) + 1]),
    );
  const text = new TextDecoder().decode(await classDesk.answersFile(id, 'csv'));
  const [heads = [], ...rows] = papa.parse(text.replace(/^\uFEFF/, '').trim(), { delimiter: ',' }).data;
  const [student, order] = [heads.indexOf('Student'), heads.indexOf('Order met')];
  for (const [name, ids] of met)
    assert.equal(
      rows.find((row) => row[student] === name)?.[order],
      ids.map((question) => `Q${IDS.indexOf(question) + 1}`).join(' '),
    );
});

test('where all meet them in the same order nothing more is said', async () => {
  const id = await newQuiz(false);
  await openAlways(id);
  await sit(id, 's0');
  const { slips } = await classDesk.printed(id, 'with');
  assert.deepEqual(slips[0]?.slip.parts.map(({ met }) => met), [null, null, null, null]); // prettier-ignore
  const text = new TextDecoder().decode(await classDesk.answersFile(id, 'csv'));
  assert.ok(!text.includes('Order met'));
});
