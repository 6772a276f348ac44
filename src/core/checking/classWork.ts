import { valueAt } from '../figures/valueAt';
import { joinAttempts, type RecordedTotal } from '../scoring/joinAttempts';
import { lateness, type Lateness } from '../scoring/lateness';
import { ownContextOf } from '../scoring/context';
import { shareOfScore, verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import { same } from '../figures/deepEqual';
import { equal } from '../figures/fraction';
import type { ScoredSheet, Sheet } from '../scoring/scoredSheet';
import { total } from '../scoring/total';
import type { Attempt, Ruling } from '../quiz/work/attempt';
import type { Override } from '../quiz/work/override';
import type { Paper, QuizContent } from '../quiz/quiz';
import {
  attemptState,
  finishedAt,
  isFinished,
  whyNotCounted,
  type AttemptWindow,
} from '../quiz/times/window';
import { MarkColumn } from './markColumn';
import { ScoreColumn } from './scoreColumn';

const NONE: Readonly<Record<string, Override>> = {};

/** What a class handed in and what the teacher ruled: all that does not depend on a revision of the key. */
export interface ClassWork {
  readonly attempts: readonly Attempt[];
  /** The window of each student: as it is set for them. */
  readonly windowOf: (studentId: string) => AttemptWindow;
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
    .filter((attempt) => isFinished(attemptState(attempt, work.windowOf(attempt.studentId), work.at)))
    .map((attempt) => ({
      attempt,
      notCounted: whyNotCounted(
        attempt,
        work.windowOf(attempt.studentId),
        work,
        work.at,
        work.rulings.get(attempt.id),
      ),
    }))
    .filter((sheet) => sheet.notCounted !== 'notHandedIn');
}

/** How late an attempt is under the rules of a revision. */
export function latenessOf(
  attempt: Attempt,
  window: AttemptWindow,
  content: QuizContent,
  ruling: Ruling | undefined,
): Lateness | null {
  if (!attempt.timeKnown) return null;
  return lateness(content.late, window, finishedAt(attempt, window), content.zone, ruling?.lateness);
}

/** New columns of marks for all questions of a paper. */
export const columnsFor = (paper: Paper): MarkColumn[] =>
  paper.questions.map((question) => new MarkColumn(question, ownContextOf(paper, question)));

/** What of a class under another paper may come out the same: all work, and the places of the questions that may not. */
interface Kept {
  readonly work: ReadonlyMap<string, StudentWork>;
  readonly moved: readonly number[];
}

/** What may be kept: nothing where the questions stand elsewhere, or the rules of the whole are others. */
function keptFrom(
  from: MarkedClass,
  now: Pick<MarkedClass, 'paper' | 'work'>,
  before: readonly ScoreColumn[],
  after: readonly ScoreColumn[],
): Kept | null {
  const ids = ({ questions }: Paper) => questions.map(({ id }) => id);
  const rules = ({ content }: Paper) => [content.scoring, content.attempts, content.late, content.zone];
  if (
    from.work !== now.work ||
    !same(ids(from.paper), ids(now.paper)) ||
    !same(rules(from.paper), rules(now.paper))
  )
    return null;
  // First, so that the columns from before have been asked about every answer.
  const work = new Map(from.students().map((one) => [one.studentId, one]));
  const moved = after.flatMap((column, index) => {
    const old = before[index];
    return old && column.scoresAs(old) ? [] : [index];
  });
  return { work, moved };
}

/** Whether two scores add the same to a total and are shown alike. */
export const comesOutAs = (a: QuestionScore, b: QuestionScore): boolean =>
  a === b ||
  (a.standing === b.standing &&
    equal(a.earned, b.earned) &&
    equal(a.waiting, b.waiting) &&
    equal(a.possible, b.possible) &&
    equal(a.maximum, b.maximum) &&
    verdictOfScore(a) === verdictOfScore(b) &&
    equal(shareOfScore(a), shareOfScore(b)));

/** The work of a class under one revision of the key. Marks are made when they are asked for, and kept. */
export class MarkedClass {
  readonly #scored: readonly ScoreColumn[];
  readonly #at: ReadonlyMap<string, number>;
  readonly #kept: Kept | null;
  #students: StudentWork[] | null = null;

  constructor(
    readonly paper: Paper,
    readonly work: ClassWork,
    /** One a question of the paper, in its order. */
    readonly columns: readonly MarkColumn[] = columnsFor(paper),
    readonly sheets: readonly Sheet[] = sheetsOf(work),
    /** The same class under another paper: what comes out the same there is not worked out again. */
    from: MarkedClass | null = null,
  ) {
    this.#scored = columns.map((column) => new ScoreColumn(column, paper));
    this.#kept = from ? keptFrom(from, this, from.#scored, this.#scored) : null;
    this.#at = new Map(paper.questions.map((question, index) => [question.id, index]));
  }

  /** The score of each question of an attempt, in the paper's order, the teacher's own scores laid over them. */
  scoresOf(attempt: Attempt): QuestionScore[] {
    const own = ofAttempt(this.work.overrides, attempt.id);
    return this.#scored.map((column) => {
      const { id } = column.marks.question;
      return column.score(valueAt(attempt.answers, id), valueAt(own, id) ?? null, valueAt(attempt.hints, id));
    });
  }

  /** The score of one question of an attempt; null for a question that the paper does not have. */
  scoreOf(attempt: Attempt, questionId: string): QuestionScore | null {
    return this.#scoreAt(this.#at.get(questionId) ?? -1, attempt);
  }

  #scoreAt(index: number, attempt: Attempt): QuestionScore | null {
    const column = this.#scored[index];
    if (!column) return null;
    const { id } = column.marks.question;
    return column.score(
      valueAt(attempt.answers, id),
      valueAt(ofAttempt(this.work.overrides, attempt.id), id) ?? null,
      valueAt(attempt.hints, id),
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

  /** The student's work with its totals as they came out under the other paper, where no score of it adds another amount now. */
  #keptWork(studentId: string): StudentWork | null {
    const before = this.#kept?.work.get(studentId);
    if (!this.#kept || !before) return null;
    const sheets: ScoredSheet[] = [];
    for (const sheet of before.sheets) {
      const scores = [...sheet.scores];
      for (const index of this.#kept.moved) {
        const [old, next] = [scores[index], this.#scoreAt(index, sheet.attempt)];
        if (!old || !next || !comesOutAs(old, next)) return null;
        scores[index] = next;
      }
      sheets.push({ ...sheet, scores });
    }
    return { ...before, sheets };
  }

  #studentWork(studentId: string, sheets: readonly Sheet[]): StudentWork {
    const kept = this.#keptWork(studentId);
    if (kept) return kept;
    const { content } = this.paper;
    const { rulings } = this.work;
    const window = this.work.windowOf(studentId);
    let counting = 0;
    const scored = [...sheets]
      .sort((a, b) => a.attempt.number - b.attempt.number)
      .map((sheet): ScoredSheet => {
        const late = latenessOf(sheet.attempt, window, content, rulings.get(sheet.attempt.id));
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
