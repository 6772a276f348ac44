import type { RecordedTotal } from '@/core/scoring/joinAttempts';
import type { NotCounted } from '@/core/quiz/times/window';
import { ASPECTS, type Aspect } from '@/core/quiz/plan/plan';
import { now } from '@/device/clock';
import { allTickets } from '@/store/records/tickets';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, namesakes, disambiguator, workOf } from './papers';
import { revealOf } from './reveal';

/** One student's result: what is recorded, and what of it the student sees now. */
export interface HandBackRow {
  readonly studentId: string;
  /** What opens the student's slip. */
  readonly ticket: string;
  readonly name: string;
  readonly number: string;
  /** Tells a student from another of the same name; empty for one name of its own. */
  readonly apart: string;
  /** The attempt that stands for the student, else the latest. */
  readonly attemptId: string;
  readonly recorded: RecordedTotal | null;
  /** Why no attempt counts; null where one does. */
  readonly notCounted: NotCounted | null;
  readonly shown: readonly Aspect[];
  /** Aspects that wait for nothing but the teacher. */
  readonly waitsForTeacher: readonly Aspect[];
}

/** Who gets what back: everyone with finished work, by name. */
export async function handBack(quizId: string): Promise<HandBackRow[]> {
  const [live, tickets] = await Promise.all([liveClass(quizId), allTickets()]);
  const reveal = revealOf(live, now());
  const twice = namesakes(live.students.values());
  const rows = workOf(live).flatMap(({ student, studentId, sheets, counted, recorded }): HandBackRow[] => {
    const attempt = counted ?? sheets.at(-1)?.attempt;
    if (!student || !attempt) return [];
    const shown = reveal.shown(studentId, attempt.id);
    const waits = ASPECTS.filter((aspect) => {
      const showing = shown[aspect];
      return (
        showing.state === 'waits' &&
        showing.for.every((one) => one.for === 'byTeacher' || one.for === 'takenBack')
      );
    });
    return [
      {
        studentId,
        ticket: tickets.get(studentId) ?? '',
        name: student.name,
        number: student.number,
        apart: disambiguator(student, twice),
        attemptId: attempt.id,
        recorded,
        notCounted: recorded ? null : (sheets.at(-1)?.notCounted ?? null),
        shown: ASPECTS.filter((aspect) => shown[aspect].state === 'shown'),
        waitsForTeacher: waits,
      },
    ];
  });
  return rows.sort((a, b) => byName(a, b) || a.apart.localeCompare(b.apart));
}
