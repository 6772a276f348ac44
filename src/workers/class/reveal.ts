import { isComplete, markedAt } from '@/core/reveal/markedAt';
import { sceneFor } from '@/core/reveal/scene';
import type { SeatAttempt } from '@/core/reveal/seat';
import { Reveal } from '@/core/reveal/whatIsShown';
import type { ClassPapers } from './papers';

/** What each student of a marked class is shown at an instant, by the same code as on their own pages. */
export function revealOf(live: ClassPapers, at: number): Reveal {
  const { quiz, marked, people, members, everyAttempt } = live;
  const waits = new Map<string, SeatAttempt['marked']>();
  const students = marked.students();
  for (const { sheets } of students) for (const sheet of sheets) waits.set(sheet.attempt.id, markedAt(sheet));
  return new Reveal(
    sceneFor({
      content: quiz.content,
      standing: quiz.standing,
      people,
      members,
      attempts: everyAttempt,
      rulings: marked.work.rulings,
      markedAt: (attempt) => waits.get(attempt.id) ?? 'atHandIn',
      completePapers: students.filter(({ sheets }) => sheets.some(isComplete)).length,
    }),
    at,
  );
}
