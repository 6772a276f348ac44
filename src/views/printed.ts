import type { RecordedScore, Slip } from '@/core/reveal/packets';
import { slipOf, wholeSight } from '@/core/reveal/slip';
import { whatIsPrinted } from '@/core/reveal/whatIsShown';
import { finishedAt } from '@/core/quiz/times/window';
import type { QuizContent } from '@/core/quiz/quiz';
import { commentsOf } from '@/store/work/comments';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, workOf } from './papers';

/** One student's slip as it is printed: of the attempt that stands for the student. */
export interface PrintedSlip {
  readonly studentId: string;
  readonly name: string;
  readonly number: string;
  readonly email: string;
  readonly groups: readonly string[];
  readonly attempt: { readonly number: number; readonly of: number };
  /** Where there are several attempts. */
  readonly recorded: RecordedScore | null;
  readonly slip: Slip;
}

/** Slips of a quiz, with what says in which language they are told. */
interface Printed extends Pick<QuizContent, 'title' | 'language' | 'decimalSign'> {
  readonly slips: PrintedSlip[];
}

/** Slips for printing, by name: everyone's whose attempt counts, or those of some students. */
export async function printed(
  quizId: string,
  rightAnswers: 'with' | 'without',
  only: readonly string[] | null = null,
): Promise<Printed> {
  const [live, comments] = await Promise.all([liveClass(quizId), commentsOf(quizId)]);
  const { counts } = live.paper.content.attempts;
  const slips = workOf(live).flatMap(({ student, studentId, sheets, counted, recorded }) => {
    if (!student || !recorded || (only && !only.includes(studentId))) return [];
    const sheet = sheets.find(({ attempt }) => attempt === counted) ?? sheets.at(-1);
    if (!sheet) return [];
    const { attempt } = sheet;
    const ended = finishedAt(attempt, live.windowOf(studentId));
    const finished = { sheet, finishedAt: ended, comments: comments.get(attempt.id) ?? {} };
    const { name, number, email, groups } = student;
    return [
      {
        studentId,
        name,
        number,
        email,
        groups,
        attempt: { number: attempt.number, of: sheets.length },
        recorded:
          sheets.length > 1
            ? { score: recorded.score, outOf: recorded.outOf, waiting: recorded.waiting, counts }
            : null,
        slip: slipOf(live.paper, finished, wholeSight(whatIsPrinted(ended, rightAnswers))),
      },
    ];
  });
  const { title, language, decimalSign } = live.paper.content;
  return { title, language, decimalSign, slips: slips.sort(byName) };
}
