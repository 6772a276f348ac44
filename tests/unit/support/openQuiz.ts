import assert from 'node:assert/strict';
import { mock } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { db } from '@/store/records/db';
import { openQuiz, setQuizTo } from '@/store/quiz/standing';
import { studentDesk } from '@/workers/studentDesk';
import { putStudents } from './school';
import { addressOf, sent } from './sat';
import { phraseQuestion, quizOf, variant } from './support';

/** A quiz that is sat through the students' port, on a day whose clock the test turns on. */

export const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
/** When the quiz opens. */
export const START = Date.parse('2026-11-23T08:00:00Z');

export const say = (text: string) => ({ kind: 'phrase', text }) as const;
/** Lets time pass: ms. */
export const later = (ms: number) => mock.timers.tick(ms);
/** What it asks. */
export const q1 = () => phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' });
/** A quiz of one question, open for a day from {@link START}. */
export async function quiz(more: object = {}, classes = ['c1'], zone = 'UTC'): Promise<string> {
  const id = await quizOf({ ...emptyContent('Rivers', zone), order: ['q1'], ...more }, [q1()]);
  await setQuizTo(
    id,
    classes.map((classId) => ({ classId, group: null })),
  );
  await openQuiz(id, { from: START, due: null, grace: 0, until: START + 24 * HOUR });
  return id;
}
export async function begin(id: string, studentId: string): Promise<string> {
  const paper = await studentDesk.begin(await addressOf(id, studentId));
  assert.equal(paper.state, 'working');
  return paper.state === 'working' ? paper.working.attemptId : '';
}
export const write = async (id: string, studentId: string, attemptId: string, text: string) =>
  studentDesk.saveAnswer(await addressOf(id, studentId), sent(attemptId, 'q1', say(text)));
export const hand = async (id: string, studentId: string, attemptId: string) =>
  studentDesk.handIn(await addressOf(id, studentId), attemptId);
export async function sit(id: string, studentId: string, text: string): Promise<string> {
  const attemptId = await begin(id, studentId);
  await write(id, studentId, attemptId, text);
  await hand(id, studentId, attemptId);
  return attemptId;
}
/** An empty school with two students on one list, an hour after the quiz opened. */
export async function anHourIn(): Promise<void> {
  mock.timers.reset();
  mock.timers.enable({ apis: ['Date'], now: START + HOUR });
  await db.delete();
  await db.open();
  await putStudents([
    { id: 's1', name: 'Ada Marsh' },
    { id: 's2', name: 'Bo Weir' },
  ]);
}
