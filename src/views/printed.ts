import type { RecordedScore, Slip } from '@/core/reveal/packets';
import { slipOf, wholeSight, type Sight } from '@/core/reveal/slip';
import { whatIsPrinted } from '@/core/reveal/whatIsShown';
import { finishedAt } from '@/core/quiz/times/window';
import type { QuizContent } from '@/core/quiz/quiz';
import { commentsOf } from '@/store/work/comments';
import { byName } from '@/core/quiz/people/byName';
import { isComplete } from '@/core/reveal/markedAt';
import { classDid } from '@/core/reveal/classDid';
import type { ScoredSheet } from '@/core/scoring/scoredSheet';
import { now } from '@/device/clock';
import { liveClass, workOf, type ClassPapers } from './papers';
import { revealOf } from './reveal';

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
  /** How many students would be told nothing: they have no slip. */
  readonly silent: number;
}

/** What of a result goes on a slip: all of it, with or without the right answers, or what the plan shows its student now. */
export type SlipHolds = 'with' | 'without' | 'asPlanned';

/** How much of the results of a class goes on its slips. */
function sightOf(live: ClassPapers, holds: SlipHolds): (sheet: ScoredSheet, ended: number) => Sight {
  if (holds !== 'asPlanned') return (_, ended) => wholeSight(whatIsPrinted(ended, holds));
  const reveal = revealOf(live, now());
  const students = live.marked.students();
  const papers = students.filter(({ sheets }) => sheets.some(isComplete)).length;
  const outOf = students.find(({ recorded }) => recorded)?.recorded?.outOf;
  const together = outOf
    ? classDid(
        students.map(({ recorded }) => recorded),
        papers,
        outOf,
      )
    : null;
  return ({ attempt }) => ({
    shown: reveal.shown(attempt.studentId, attempt.id),
    only: (aspect) => reveal.only(attempt.studentId, aspect),
    classDid: together,
  });
}

/** Whether there is anything on a slip but its head. */
const saysAnything = ({ score, band, comment, parts }: Slip): boolean =>
  score !== null ||
  band !== null ||
  comment !== null ||
  parts.some(({ result, text, comment: words }) => result !== null || text !== null || words !== null);

/** Slips for printing or as files, by name: everyone's whose attempt counts, or those of some students. */
export async function printed(
  quizId: string,
  holds: SlipHolds,
  only: readonly string[] | null = null,
): Promise<Printed> {
  const [live, comments] = await Promise.all([liveClass(quizId), commentsOf(quizId)]);
  const { counts } = live.paper.content.attempts;
  const sight = sightOf(live, holds);
  const slips = workOf(live).flatMap(({ student, studentId, sheets, counted, recorded }) => {
    if (!student || !recorded || (only && !only.includes(studentId))) return [];
    const sheet = sheets.find(({ attempt }) => attempt === counted) ?? sheets.at(-1);
    if (!sheet) return [];
    const { attempt } = sheet;
    const ended = finishedAt(attempt, live.windowOf(studentId));
    // What attempts come to together is told once each that joins shows its own score.
    const joining = sheets.filter((one) => one.notCounted === null);
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
          sheets.length > 1 && joining.every((one) => sight(one, ended).shown.score.state === 'shown')
            ? { score: recorded.score, outOf: recorded.outOf, waiting: recorded.waiting, counts }
            : null,
        slip: slipOf(live.paper, finished, sight(sheet, ended)),
      },
    ];
  });
  const { title, language, decimalSign } = live.paper.content;
  const told = slips.filter(({ slip }) => saysAnything(slip));
  return { title, language, decimalSign, slips: told.sort(byName), silent: slips.length - told.length };
}
