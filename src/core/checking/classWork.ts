import { joinAttempts, type RecordedTotal } from '../scoring/joinAttempts';
import { lateness, type Lateness } from '../scoring/lateness';
import { ownContextOf } from '../scoring/context';
import type { QuestionScore } from '../scoring/scoreQuestion';
import type { ScoredSheet, Sheet } from '../scoring/scoredSheet';
import { total } from '../scoring/total';
import type { Attempt, Ruling } from '../quiz/attempt';
import type { Override } from '../quiz/override';
import type { Opening, Paper, QuizContent } from '../quiz/quiz';
import { attemptState, finishedAt, isFinished, whyNotCounted } from '../quiz/window';
import { MarkColumn } from './markColumn';
import { ScoreColumn } from './scoreColumn';

const NONE: Readonly<Record<string, Override>> = {};

/** What a class handed in and what the teacher ruled: all that does not depend on a revision of the key. */
export interface ClassWork {
  readonly attempts: readonly Attempt[];
  readonly opening: Opening | null;
  /** What happens to work that is not handed in when the quiz closes. */
  readonly unfinished: QuizContent['unfinished'];
  /** The teacher's own scores, by attempt and question. */
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>;
  readonly rulings: ReadonlyMap<string, Ruling>;
  /** The instant at which all this is looked at: ms since 1970. */
  readonly at: number;
}

/** One student's finished attempts, each marked, and the score that is recorded. */
export interface StudentWork {
  readonly studentId: string;
  /** The first attempt first. */
  readonly sheets: readonly ScoredSheet[];
  /** null: no attempt counts. */
  readonly recorded: RecordedTotal | null;
  /** The attempt that stands for the student; null without one, and where a mean does. */
  readonly counted: Attempt | null;
}

/** The teacher's own scores by attempt and question. */
export function overridesByAttempt(all: readonly Override[]): Map<string, Record<string, Override>> {
  const byAttempt = new Map<string, Record<string, Override>>();
  for (const override of all) {
    const own = byAttempt.get(override.attemptId) ?? {};
    own[override.questionId] = override;
    byAttempt.set(override.attemptId, own);
  }
  return byAttempt;
}

/** The overrides of one attempt out of all. */
export const ofAttempt = (
  overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>,
  attemptId: string,
): Readonly<Record<string, Override>> => overrides.get(attemptId) ?? NONE;

/** The attempts that are finished, in the order given; what ran out unfinished and is not taken is left out. */
export function sheetsOf(work: ClassWork): Sheet[] {
  return work.attempts
    .filter((attempt) => isFinished(attemptState(attempt, work.opening, work.at)))
    .map((attempt) => ({
      attempt,
      notCounted: whyNotCounted(attempt, work.opening, work, work.at, work.rulings.get(attempt.id)),
    }))
    .filter((sheet) => sheet.notCounted !== 'notHandedIn');
}

/** How late an attempt is under the rules of a revision. */
export function latenessOf(
  attempt: Attempt,
  opening: Opening | null,
  content: QuizContent,
  ruling: Ruling | undefined,
): Lateness | null {
  if (!opening || !attempt.timeKnown) return null;
  return lateness(content.late, opening, finishedAt(attempt, opening), content.zone, ruling?.lateness);
}

/** New columns of marks for all questions of a paper. */
export const columnsFor = (paper: Paper): MarkColumn[] =>
  paper.questions.map((question) => new MarkColumn(question, ownContextOf(paper, question)));

/** The work of a class under one revision of the key. Marks are made when they are asked for, and kept. */
export class MarkedClass {
  readonly #scored: readonly ScoreColumn[];
  readonly #at: ReadonlyMap<string, number>;
  #students: StudentWork[] | null = null;

  constructor(
    readonly paper: Paper,
    readonly work: ClassWork,
    /** One a question of the paper, in its order. */
    readonly columns: readonly MarkColumn[] = columnsFor(paper),
    readonly sheets: readonly Sheet[] = sheetsOf(work),
  ) {
    this.#scored = columns.map((column) => new ScoreColumn(column, paper));
    this.#at = new Map(paper.questions.map((question, index) => [question.id, index]));
  }

  /** The score of each question of an attempt, in the paper's order, the teacher's own scores laid over them. */
  scoresOf(attempt: Attempt): QuestionScore[] {
    const own = ofAttempt(this.work.overrides, attempt.id);
    return this.#scored.map((column) => {
      const { id } = column.marks.question;
      return column.score(attempt.answers[id], own[id] ?? null, attempt.hints[id]);
    });
  }

  /** The score of one question of an attempt; null for a question that the paper does not have. */
  scoreOf(attempt: Attempt, questionId: string): QuestionScore | null {
    const column = this.#scored[this.#at.get(questionId) ?? -1];
    if (!column) return null;
    return column.score(
      attempt.answers[questionId],
      ofAttempt(this.work.overrides, attempt.id)[questionId] ?? null,
      attempt.hints[questionId],
    );
  }

  /** Everyone with finished work, in the order of their first attempts. */
  students(): readonly StudentWork[] {
    this.#students ??= [...this.eachStudent()];
    return this.#students;
  }

  /** The same one after another, for those who must pause in between. */
  *eachStudent(): Generator<StudentWork> {
    const byStudent = new Map<string, Sheet[]>();
    for (const sheet of this.sheets) {
      const own = byStudent.get(sheet.attempt.studentId);
      if (own) own.push(sheet);
      else byStudent.set(sheet.attempt.studentId, [sheet]);
    }
    for (const [studentId, sheets] of byStudent) yield this.#studentWork(studentId, sheets);
  }

  #studentWork(studentId: string, sheets: readonly Sheet[]): StudentWork {
    const { content } = this.paper;
    const { opening, rulings } = this.work;
    let counting = 0;
    const scored = [...sheets]
      .sort((a, b) => a.attempt.number - b.attempt.number)
      .map((sheet): ScoredSheet => {
        const late = latenessOf(sheet.attempt, opening, content, rulings.get(sheet.attempt.id));
        const scores = this.scoresOf(sheet.attempt);
        const path = { rules: content.scoring, repeat: counting + 1, late };
        if (sheet.notCounted === null) counting++;
        return { ...sheet, late, scores, path, total: total(scores, path) };
      });
    const joined = scored.filter((sheet) => sheet.notCounted === null);
    const recorded = joinAttempts(
      joined.map((sheet) => sheet.total),
      content.attempts.counts,
      content.scoring,
    );
    const counted =
      recorded && recorded.counted !== null ? (joined[recorded.counted]?.attempt ?? null) : null;
    return { studentId, sheets: scored, recorded, counted };
  }
}
