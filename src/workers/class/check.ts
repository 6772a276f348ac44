import type { Fraction } from '@/core/figures/fraction';
import { kindOf, type Answer, type Question } from '@/core/kinds';
import type { NearMiss, Verdict } from '@/core/marking/mark';
import {
  contextOf, markAnswer, scoreQuestion, overrideDiffers, shareOfScore, total, traceTotal, verdictOfScore, type QuestionScore, type Total,
} from '@/core/marking/markAttempt'; // prettier-ignore
import { traceWords } from '@/core/marking/words';
import type { Attempt } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import { pointsOf, pointsOfPaper } from '@/core/quiz/points';
import { questionTitle } from '@/core/reveal/slip';
import { ofAttempt } from '@/store/overrides';
import { tryAnswer, type Trial } from '../quickDesk';
import { byName, liveClass, scoresOf } from './papers';

export interface CheckCell {
  readonly verdict: Verdict;
  readonly credit: Fraction;
  readonly earned: Fraction;
  readonly waiting: Fraction;
  readonly answer: string;
  readonly nearMiss: NearMiss | null;
  readonly contradiction: boolean;
  /** The teacher's own score, and whether marking now gives something else than when it was set. */
  readonly override: { readonly reason: string; readonly differs: boolean } | null;
}

export interface CheckRow {
  readonly attemptId: string;
  readonly studentId: string;
  readonly name: string;
  readonly total: Total;
  readonly cells: readonly CheckCell[];
}

export interface CheckTable {
  readonly questions: readonly { id: string; title: string; points: Fraction; share: number | null }[];
  readonly rows: readonly CheckRow[];
  readonly outOf: Fraction;
  readonly waiting: number;
}

function cellOf(question: Question, attempt: Attempt, score: QuestionScore): CheckCell {
  const answer = attempt.answers[question.id];
  const { mark, earned, waiting } = score;
  return {
    verdict: verdictOfScore(score),
    credit: shareOfScore(score),
    earned,
    waiting,
    answer: answer ? kindOf(question).answerText(question, answer) : '',
    nearMiss: mark.nearMiss,
    contradiction: mark.contradiction,
    override: score.override ? { reason: score.override.reason, differs: overrideDiffers(score) } : null,
  };
}

/** Students × questions: every mark, and the totals. */
export async function checkTable(quizId: string): Promise<CheckTable> {
  const live = await liveClass(quizId);
  const { attempts, students, paper, columns } = live;
  const rows = attempts.map((attempt): CheckRow => {
    const scores = scoresOf(attempt, paper, columns, live);
    return {
      attemptId: attempt.id,
      studentId: attempt.studentId,
      name: students.get(attempt.studentId)?.name ?? 'Removed student',
      total: total(scores),
      cells: paper.questions.map((question, index) =>
        cellOf(question, attempt, scores[index] as QuestionScore),
      ),
    };
  });
  return {
    questions: paper.questions.map((question, index) => ({
      id: question.id,
      title: questionTitle(question.text),
      points: pointsOf(question, paper.content),
      share: shareOf(rows, index),
    })),
    rows: rows.sort(byName),
    outOf: pointsOfPaper(paper),
    waiting: rows.reduce((sum, row) => sum + row.cells.filter((cell) => cell.verdict === 'waits').length, 0),
  };
}

/** Mean credit of a question over the marked papers, 0 … 1; null without any. */
function shareOf(rows: readonly CheckRow[], index: number): number | null {
  const marked = rows.map((row) => row.cells[index]).filter((cell) => cell && cell.verdict !== 'waits');
  if (marked.length === 0) return null;
  return marked.reduce((sum, cell) => sum + (cell ? cell.credit.n / cell.credit.d : 0), 0) / marked.length;
}

/** One answer of the class opened: what was given, how it came to its points, and the teacher's own score. */
export interface OpenedAnswer {
  readonly answer: Answer | null;
  readonly trial: Trial;
  readonly override: Override | null;
  /** What marking alone gives; null while the answer waits. */
  readonly marked: Fraction | null;
}

export async function openAnswer(
  quizId: string,
  attemptId: string,
  questionId: string,
): Promise<OpenedAnswer | null> {
  const { attempts, paper, overrides } = await liveClass(quizId);
  const attempt = attempts.find((one) => one.id === attemptId);
  const question = paper.questions.find((one) => one.id === questionId);
  if (!attempt || !question) return null;
  const override = ofAttempt(overrides, attemptId)[questionId] ?? null;
  const answer = attempt.answers[questionId] ?? null;
  const marked = scoreQuestion(
    markAnswer(question, answer, contextOf(paper.content)),
    pointsOf(question, paper.content),
  ).marked;
  return { answer, trial: tryAnswer(question, answer, paper.content, override), override, marked };
}

/** How one total came about, in words. */
export async function totalTrace(quizId: string, attemptId: string): Promise<string[]> {
  const live = await liveClass(quizId);
  const attempt = live.attempts.find((one) => one.id === attemptId);
  return attempt ? traceTotal(scoresOf(attempt, live.paper, live.columns, live)).map(traceWords) : [];
}
