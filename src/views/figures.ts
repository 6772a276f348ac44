import { underPaper } from '@/core/checking/effect';
import type { StudentWork } from '@/core/checking/classWork';
import { csvText } from '@/core/formats/csv';
import { figuresRows } from '@/core/formats/figuresFile';
import { draftChanges } from '@/core/quiz/draftChanges';
import { answerFigures, type AnswerFigures } from '@/core/statistics/answers';
import type { Figures } from '@/core/statistics/figures';
import { questionTitle } from '@/core/content/plainText';
import { askedIn } from '@/core/quiz/points';
import { writeWorkbook } from '../files/workbook';
import { draftPaper } from '@/store/quiz/quizzes';
import { studentsSetTo } from '@/store/class/roster';
import { circles } from './circles';
import { liveClass, type ClassPapers } from './papers';

/** The figures of a class or a group, as they are and as the draft would make them. */
export interface FiguresOf {
  /** Whose: the name of a class or group; empty for everybody. */
  readonly whose: string;
  readonly now: Figures;
  /** null where nothing waits in the draft that somebody's work depends on. */
  readonly after: Figures | null;
  /** Students without a score that counts. */
  readonly missing: number;
}

/** Those who are in a class or a group. */
async function those(live: ClassPapers, whose: string): Promise<ReadonlySet<string>> {
  const { setTo } = live.quiz.standing;
  const all = await studentsSetTo(setTo);
  const circle = whose === '' ? undefined : (await circles(live.quiz.id)).find(({ name }) => name === whose);
  return new Set(
    circle ? circle.studentIds : all.flatMap(({ id, removedAt }) => (removedAt === null ? [id] : [])),
  );
}

const workOfThose = (all: readonly StudentWork[], ids: ReadonlySet<string>, isEverybody: boolean) =>
  isEverybody ? all : all.filter(({ studentId }) => ids.has(studentId));

/** The figures of everybody, or of a class or group by its name. */
export async function figures(quizId: string, whose = ''): Promise<FiguresOf> {
  // Its tables of distributions are fetched with the first figures that are asked for.
  const { figuresOf } = await import('@/core/statistics/figures');
  const live = await liveClass(quizId);
  const ids = await those(live, whose);
  const work = workOfThose(live.marked.students(), ids, whose === '');
  const settled = live.quiz.firstHandInAt !== null && live.quiz.standing.live !== null;
  const draft = settled ? await draftPaper(quizId) : live.paper;
  const waits = settled && draftChanges(draft, live.paper).length > 0;
  const then = waits ? underPaper(live.marked, draft) : null;
  const scored = new Set(work.flatMap(({ studentId, recorded }) => (recorded ? [studentId] : [])));
  return {
    whose,
    now: figuresOf(live.paper, work),
    after: then && figuresOf(then.paper, workOfThose(then.students(), ids, whose === '')),
    missing: [...ids].filter((id) => !scored.has(id)).length,
  };
}

/** Every answer to a question, with its share of the class and of its thirds. */
export async function answersInThirds(
  quizId: string,
  questionId: string,
  whose = '',
): Promise<AnswerFigures[]> {
  const live = await liveClass(quizId);
  const ids = await those(live, whose);
  return answerFigures(live.paper, workOfThose(live.marked.students(), ids, whose === ''), questionId);
}

/** The figures as a file: those of the key that counts, unrounded. */
export async function figuresFile(quizId: string, form: 'csv' | 'xlsx', whose = ''): Promise<Uint8Array> {
  const [{ now }, { paper }] = [await figures(quizId, whose), await liveClass(quizId)];
  const named = askedIn(paper).map((question, index) => ({
    id: question.id,
    number: index + 1,
    title: questionTitle(question.text, question.formulas),
  }));
  const rows = figuresRows(now, named, whose);
  return form === 'csv' ? new TextEncoder().encode(csvText(rows)) : writeWorkbook(rows, 'Figures');
}
