import type { Kept } from '@/core/quiz/plan/plan';
import { studentsSet } from '@/core/quiz/people/school';
import { asksForOthers, conditionsHeld } from '@/core/reveal/kept';
import { sceneFor } from '@/core/reveal/scene';
import { Reveal } from '@/core/reveal/whatIsShown';
import { now } from '@/device/clock';
import { db, type QuizRecord } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
import { rulingsOf } from './rulings';

/** What holds for everyone now and would not any more: it is kept for those who can hand in no more. */
export async function conditionsToPreserve(quiz: QuizRecord): Promise<Kept[]> {
  const { content, standing } = quiz;
  if (!asksForOthers({ plan: content.plan, ownPlans: standing.plans })) return [];
  const [people, members] = await Promise.all([db.students.toArray(), db.members.toArray()]);
  if (studentsSet(standing.setTo, people, members).length === 0) return [];
  const scene = sceneFor({
    content,
    standing,
    people,
    members,
    attempts: await ofQuiz.attempts(quiz.id).toArray(),
    rulings: await rulingsOf(quiz.id),
  });
  return conditionsHeld(new Reveal(scene, now()));
}
