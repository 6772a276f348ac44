import { valueAt } from '@/core/figures/valueAt';
import type { ShownAnswer } from '@/core/content/shownAnswer';
import type { Standing } from '@/core/content/questionBase';
import type { Prose } from '@/core/content/prose';
import { equal, type Fraction } from '@/core/figures/fraction';
import { ofAttempt } from '@/core/checking/classWork';
import { meanShare } from '@/core/checking/meanShare';
import { spreadOf, type Spread } from '@/core/checking/spread';
import type { Given } from '@/core/checking/ways';
import { calledAnswer, isAnswerTo, kindOf, shownBesideRight, type Answer, type Question } from '@/core/kinds';
import type { StudentQuestion } from '@/core/reveal/packets';
import { questionsForStudent } from '@/core/reveal/slip';
import type { RecordedTotal } from '@/core/scoring/joinAttempts';
import type { Lateness } from '@/core/scoring/lateness';
import type { NearMiss } from '@/core/marks/mark';
import { contextOf } from '@/core/scoring/context';
import { markAnswer, scoreMark } from '@/core/scoring/markAttempt';
import {
  overrideDiffers,
  shareOfScore,
  verdictOfScore,
  type ScoreVerdict,
  type QuestionScore,
} from '@/core/scoring/scoreQuestion';
import { traceTotal, type Total } from '@/core/scoring/total';
import { traceJoin } from '@/core/scoring/traceJoin';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Override } from '@/core/quiz/work/override';
import { questionTitle } from '@/core/content/plainText';
import { carriesPoints } from '@/core/quiz/placement';
import type { Paper } from '@/core/quiz/quiz';
import { same } from '@/core/figures/deepEqual';
import { keyField, stepOf } from '@/store/records/steps';
import { draftPaper } from '@/store/quiz/quizzes';
import { placementIn } from '@/core/quiz/paper';
import { numbersOf } from '@/core/quiz/numbers';
import { askedIn, outOfPaper, pointsOf } from '@/core/quiz/points';
import { finishedAt, type NotCounted } from '@/core/quiz/times/window';
import { tryAnswer, type Trial } from '@/views/tryAnswer';
import { readerWords } from './readerWords';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, namesakes, disambiguator, workOf, type NamedWork } from './papers';
import { circlesOf, type Circle } from './circles';

export interface CheckCell {
  /** The question's number on the paper. */
  readonly number: number;
  readonly verdict: ScoreVerdict;
  readonly credit: Fraction;
  readonly standing: Standing;
  readonly earned: Fraction;
  readonly waiting: Fraction;
  readonly answer: string;
  readonly nearMiss: NearMiss | null;
  readonly contradiction: boolean;
  /** How many hints were asked for. */
  readonly hints: number;
  /** The teacher's own score, and whether marking now gives something else than when it was set. */
  readonly override: {
    readonly reason: string;
    readonly differs: boolean;
    /** True where the answer waited: it was marked by hand rather than changed. */
    readonly byHand: boolean;
  } | null;
}

/** One attempt. */
export interface CheckRow {
  readonly attemptId: string;
  readonly studentId: string;
  readonly name: string;
  /** Tells a student from another of the same name; empty for one name of its own. */
  readonly apart: string;
  /** Which of how many attempts. */
  readonly number: number;
  readonly of: number;
  readonly total: Total;
  readonly notCounted: NotCounted | null;
  /** The student's recorded score; null where no attempt counts. */
  readonly recorded: RecordedTotal | null;
  /** True where this attempt stands for the student. */
  readonly stands: boolean;
  /** True where it is in sums and figures: the one that stands, or one of those whose mean is recorded. */
  readonly figures: boolean;
  readonly source: Attempt['source'];
  readonly cells: readonly CheckCell[];
}

/** One column of the table. */
export interface TableQuestion {
  readonly id: string;
  /** Its number on the paper: notes have one, too, and no column. */
  readonly number: number;
  readonly title: string;
  /** What the teacher calls it; empty for no name of its own. */
  readonly name: string;
  readonly points: Fraction;
  readonly standing: Standing;
  /** The mean share of its points that was earned, 0 … 1; null while no answer to it is marked. */
  readonly share: number | null;
  /** Answers to it that wait for the teacher. */
  readonly waiting: number;
}

export interface CheckTable {
  readonly questions: readonly TableQuestion[];
  readonly rows: readonly CheckRow[];
  readonly outOf: Fraction;
  /** The classes that take the quiz where there are several, and their groups. */
  readonly circles: readonly Circle[];
  /** Papers that are in the figures. */
  readonly counted: number;
  /** Students who have a paper here. */
  readonly students: number;
  readonly waiting: number;
  /** True where somebody has more than one attempt. */
  readonly several: boolean;
}

function cellOf(question: Question, number: number, attempt: Attempt, score: QuestionScore): CheckCell {
  const answer = valueAt(attempt.answers, question.id);
  const { mark, earned, waiting } = score;
  const marked = carriesPoints(score);
  return {
    number,
    verdict: verdictOfScore(score),
    credit: shareOfScore(score),
    standing: score.standing,
    earned,
    waiting,
    answer: answer ? calledAnswer(question, answer) : '',
    nearMiss: marked ? mark.nearMiss : null,
    contradiction: marked && mark.contradiction,
    hints: valueAt(attempt.hints, question.id)?.length ?? 0,
    override: score.override && {
      reason: score.override.reason,
      differs: overrideDiffers(score),
      byHand: score.override.gave === null,
    },
  };
}

/** Cells of answers that many gave: each is made, and sent to the page, once. */
class Cells {
  readonly #known = new Map<QuestionScore, CheckCell>();

  of(question: Question, number: number, attempt: Attempt, score: QuestionScore): CheckCell {
    // An own score and hints make a score of their own, which nobody shares.
    const known = this.#known.get(score);
    if (known) return known;
    const cell = cellOf(question, number, attempt, score);
    this.#known.set(score, cell);
    return cell;
  }
}

/** Whether an attempt is in sums and figures: it counts, and no other one of the student stands instead. */
const isFigured = (
  { counted, recorded }: NamedWork,
  { attempt, notCounted }: Pick<NamedWork['sheets'][number], 'attempt' | 'notCounted'>,
): boolean => notCounted === null && recorded !== null && (counted === null || counted === attempt);

/** The attempts of everyone that are in figures. */
const figured = (all: readonly NamedWork[]): NamedWork['sheets'][number][] =>
  all.flatMap((work) => work.sheets.filter((sheet) => isFigured(work, sheet)));

function rowsOf(
  work: NamedWork,
  questions: readonly Question[],
  twice: ReadonlySet<string>,
  numbers: ReadonlyMap<string, number>,
  cells: Cells,
): CheckRow[] {
  return work.sheets.map(({ attempt, notCounted, scores, total }) => {
    return {
      attemptId: attempt.id,
      studentId: work.studentId,
      name: work.student?.name ?? 'Removed student',
      apart: disambiguator(work.student, twice),
      number: attempt.number,
      of: work.sheets.length,
      total,
      notCounted,
      recorded: work.recorded,
      stands: work.counted === attempt,
      figures: isFigured(work, { attempt, notCounted }),
      source: attempt.source,
      cells: questions.flatMap((question, index) => {
        const asked = numbers.get(question.id);
        return asked === undefined
          ? []
          : [cells.of(question, asked, attempt, scores[index] as QuestionScore)];
      }),
    };
  });
}

/** How many answers of attempts that count wait for the teacher. */
export const waitingIn = (all: readonly NamedWork[]): number =>
  all
    .flatMap((work) => work.sheets)
    .filter((sheet) => sheet.notCounted === null)
    .reduce((sum, { scores }) => sum + scores.filter((score) => verdictOfScore(score) === 'waits').length, 0);

/** How the answers that count came out, by question. */
export async function spreads(quizId: string): Promise<Record<string, Spread>> {
  const live = await liveClass(quizId);
  const counted = figured(workOf(live));
  return Object.fromEntries(
    live.paper.questions.map(({ id }, index) => [
      id,
      spreadOf(counted.map(({ scores }) => verdictOfScore(scores[index] as QuestionScore))),
    ]),
  );
}

/** What was answered to a question in attempts that count, each answer once; those that were given no answer too. */
export async function answersTo(quizId: string, questionId: string): Promise<Given[]> {
  const live = await liveClass(quizId);
  const question = live.paper.questions.find(({ id }) => id === questionId);
  if (!question) return [];
  const given = new Map<string, { answer: Answer | null; times: number }>();
  for (const { attempt } of figured(workOf(live))) {
    const answer = valueAt(attempt.answers, questionId) ?? null;
    const key =
      answer === null
        ? ''
        : isAnswerTo(question, answer)
          ? kindOf(question).answerKey(answer)
          : JSON.stringify(answer);
    const known = given.get(key);
    if (known) known.times++;
    else given.set(key, { answer, times: 1 });
  }
  return [...given.values()];
}

/** Attempts × questions: every mark, and the totals. */
export async function checkTable(quizId: string): Promise<CheckTable> {
  const live = await liveClass(quizId);
  const { paper } = live;
  const work = workOf(live);
  const twice = namesakes(live.students.values());
  const numbers = numbersOf(paper.questions);
  const cells = new Cells();
  const rows = work.flatMap((one) => rowsOf(one, paper.questions, twice, numbers, cells));
  return {
    questions: askedIn(paper).map((question, index) => ({
      id: question.id,
      number: index + 1,
      title: questionTitle(question.text, question.formulas),
      name: question.name,
      points: pointsOf(question, paper),
      standing: placementIn(paper, question.id).standing,
      share: shareOf(rows, index),
      waiting: rows.filter((row) => row.notCounted === null && row.cells[index]?.verdict === 'waits').length,
    })),
    rows: rows.sort(
      (a, b) =>
        byName(a, b) ||
        (a.studentId < b.studentId ? -1 : 1) * Number(a.studentId !== b.studentId) ||
        a.number - b.number,
    ),
    outOf: outOfPaper(paper),
    circles: await circlesOf(live.quiz.standing.setTo, new Set(work.map(({ studentId }) => studentId))),
    counted: rows.filter((row) => row.figures).length,
    students: work.length,
    waiting: waitingIn(work),
    several: work.some((one) => one.sheets.length > 1),
  };
}

/** A table without its rows: they are fetched in pieces, so that a page never stops for a large class. */
export type CheckHead = Omit<CheckTable, 'rows'> & { readonly token: number; readonly count: number };

let made = 0;
/** The tables made last, by quiz. */
const tables = new Map<string, { readonly token: number; readonly table: CheckTable }>();

/** Marks everyone and gives the table's head; its rows wait under the token until the next table of this quiz. */
export async function checkHead(quizId: string): Promise<CheckHead> {
  const table = await checkTable(quizId);
  const token = ++made;
  tables.set(quizId, { token, table });
  const { rows, ...head } = table;
  return { ...head, token, count: rows.length };
}

/** Rows of the table made under a token, `from` up to before `to`; null where another one has been made since. */
export function checkRows(quizId: string, token: number, from: number, to: number): CheckRow[] | null {
  const kept = tables.get(quizId);
  return kept?.token === token ? kept.table.rows.slice(from, to) : null;
}

/** The mean share of a question over the attempts that are in figures; null while there is none. */
const shareOf = (rows: readonly CheckRow[], index: number): number | null =>
  meanShare(rows.flatMap((row) => (row.figures ? (row.cells[index] ?? []) : [])));

/** One answer of the class opened: what was given, how it came to its points, and the teacher's own score. */
export interface OpenedAnswer {
  readonly answer: Answer | null;
  /** The answer as people are shown it; null where none was given. */
  readonly shown: ShownAnswer | null;
  readonly trial: Trial;
  /** The hints that the student asked for. */
  readonly hints: readonly Prose[];
  readonly override: Override | null;
  /** What marking alone gives; null while the answer waits. */
  readonly marked: Fraction | null;
  /** True where the score is still one by earlier rules of comparing: the steps are those by the newest. */
  readonly isByEarlierRules: boolean;
  /** What the draft would give, and the step that keyed this answer in it; null where the draft gives the same. */
  readonly draft: {
    readonly earned: Fraction;
    readonly possible: Fraction;
    readonly waits: boolean;
    readonly step: number | null;
  } | null;
}

/** What the draft would give for an answer, where it is something else than what counts. */
async function inDraft(
  quizId: string,
  question: Question,
  { answer, hints }: Pick<OpenedAnswer, 'answer'> & { readonly hints: readonly string[] },
  live: Paper,
): Promise<OpenedAnswer['draft']> {
  const draft = await draftPaper(quizId);
  const written = draft.questions.find(({ id }) => id === question.id);
  if (!answer || !written) return null;
  const placed = (paper: Paper) => placementIn(paper, question.id);
  if (same([written, placed(draft)], [question, placed(live)])) return null;
  const score = (one: Question, paper: Paper) =>
    scoreMark(markAnswer(one, answer, contextOf(paper, one)), one, paper, null, hints);
  const [before, after] = [score(question, live), score(written, draft)];
  if (same([before.earned, before.waiting], [after.earned, after.waiting])) return null;
  const step = await stepOf(quizId, keyField(question.id, answer));
  return { earned: after.earned, possible: after.possible, waits: after.marked === null, step };
}

export async function openAnswer(
  quizId: string,
  attemptId: string,
  questionId: string,
): Promise<OpenedAnswer | null> {
  const { sheets, paper, overrides, marked: ofClass } = await liveClass(quizId);
  const attempt = sheets.find((one) => one.attempt.id === attemptId)?.attempt;
  const question = paper.questions.find((one) => one.id === questionId);
  if (!attempt || !question) return null;
  const counted = ofClass.columns.find((column) => column.question.id === questionId);
  const override = valueAt(ofAttempt(overrides, attemptId), questionId) ?? null;
  const answer = valueAt(attempt.answers, questionId) ?? null;
  const hints = valueAt(attempt.hints, questionId) ?? [];
  const fresh = markAnswer(question, answer, contextOf(paper, question));
  const mark = counted?.mark(answer ?? undefined) ?? fresh;
  const { marked } = scoreMark(mark, question, paper, null, hints);
  const isByEarlierRules = !equal(mark.credit, fresh.credit) || mark.state !== fresh.state;
  const trial = tryAnswer(question, answer, paper, override, hints);
  const shown = answer && shownBesideRight(question, answer);
  const draft = await inDraft(quizId, question, { answer, hints }, paper);
  const taken = question.hints.filter(({ id }) => hints.includes(id)).map(({ text }) => text);
  return { answer, shown, trial, hints: taken, override, marked, isByEarlierRules, draft };
}

/** A question of a paper as the student met it, with what was given. */
export interface PaperQuestion extends StudentQuestion {
  /** Its number on the teacher's paper; null for a note. */
  readonly number: number | null;
  readonly formulas: Question['formulas'];
  readonly answer: Answer | null;
  /** The answer as people are shown it, also one of another kind than the question. */
  readonly shown: ShownAnswer | null;
}

/** What a student handed in, as it was seen, but in the teacher's order of questions. */
export async function openPaper(quizId: string, attemptId: string): Promise<PaperQuestion[] | null> {
  const { sheets, paper } = await liveClass(quizId);
  const attempt = sheets.find((one) => one.attempt.id === attemptId)?.attempt;
  if (!attempt) return null;
  const met = new Map(questionsForStudent(paper, attempt).map((one) => [one.id, one]));
  const numbers = numbersOf(paper.questions);
  return paper.questions.flatMap((question) => {
    const one = met.get(question.id);
    if (!one) return [];
    const given = valueAt(attempt.answers, question.id) ?? null;
    const answer = given && isAnswerTo(question, given) ? given : null;
    const shown = given && shownBesideRight(question, given);
    return [{ ...one, number: numbers.get(question.id) ?? null, formulas: question.formulas, answer, shown }];
  });
}

/** One attempt opened: how its total and the recorded score came about, and when it came. */
export interface OpenedAttempt {
  readonly trace: readonly string[];
  readonly finishedAt: number;
  readonly timeKnown: boolean;
  readonly late: Lateness | null;
}

export async function openAttempt(quizId: string, attemptId: string): Promise<OpenedAttempt | null> {
  const live = await liveClass(quizId);
  const work = workOf(live).find((one) => one.sheets.some(({ attempt }) => attempt.id === attemptId));
  const sheet = work?.sheets.find(({ attempt }) => attempt.id === attemptId);
  if (!work || !sheet) return null;
  const joined = work.sheets.length > 1 || sheet.notCounted !== null;
  const { counts } = live.paper.content.attempts;
  const lines = [
    ...traceTotal(sheet.scores, sheet.path),
    ...(joined ? traceJoin(work.sheets, work.recorded, counts, live.paper.content.scoring.rounding) : []),
  ];
  return {
    trace: lines.map(readerWords),
    finishedAt: finishedAt(sheet.attempt, live.windowOf(sheet.attempt.studentId)),
    timeKnown: sheet.attempt.timeKnown,
    late: sheet.late,
  };
}
