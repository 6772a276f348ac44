import { valueAt } from '../figures/valueAt';
import type { MarkedClass } from '../checking/classWork';
import { toDecimalText, type Fraction } from '../figures/fraction';
import { wallClock } from '../figures/wallClock';
import { answerText, explainAnswer, kindOf, type Answer, type Question } from '../kinds';
import { contextOf } from '../scoring/context';
import { verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import { traceWords } from '../scoring/words';
import type { StudentDetails } from '../quiz/people/school';
import { numbersOf } from '../quiz/numbers';
import { askedIn } from '../quiz/points';
import type { Attempt } from '../quiz/work/attempt';
import { metNumbers } from '../reveal/slip';
import type { Paper } from '../quiz/quiz';
import { finishedAt } from '../quiz/times/window';
import { csvText } from './csv';
import { guarded } from './formula';
import { hintsCell } from './hintCells';
import { zoneTime } from './scoresFile';

/** All answers of a class as rows, which read back as an answer file: `answerFile.ts`. */

/** An instant as it is written here, to the second: wall-clock time in a zone. */
export const secondTime = (at: number, zone: string): string => zoneTime(at, zone, 'second');

/** Points as they are written here: a decimal of at most 2 places. */
export const pointsText = (points: Fraction): string => toDecimalText(points);

/** An answer as it is written into a cell: what was typed, the words of what was picked. */
export function answerCell(question: Question, answer: Answer | undefined): string {
  if (!answer) return '';
  return answerText(question, answer).slice(0, 32_000);
}

/** What decided about an answer, in the words of its trace. */
function ruleCell(
  question: Question,
  answer: Answer | undefined,
  score: QuestionScore,
  paper: Paper,
): string {
  if (score.override) return `Own score: ${score.override.reason}`;
  const verdict = verdictOfScore(score);
  if (verdict === 'blank' || verdict === 'unmarked' || !answer) return '';
  const lines = explainAnswer(question, answer, contextOf(paper, question));
  return lines
    .filter(({ step }) => step === 'rule')
    .map(traceWords)
    .join('; ')
    .slice(0, 5000);
}

/** The questions by their numbers in the order in which the student met them; nothing where nobody knows. */
function orderMet(paper: Paper, numbers: ReadonlyMap<string, number>, attempt: Attempt): string | null {
  const met = [...metNumbers(paper, attempt)].sort(([, a], [, b]) => a - b);
  return met.length === 0 ? null : met.map(([id]) => `Q${numbers.get(id) ?? ''}`).join(' ');
}

/** An instant in a cell: wall-clock time in the quiz's zone, as spreadsheets have it, without a zone of its own. */
export interface TimeCell {
  /** As if that wall clock were UTC: ms since 1970. */
  readonly wall: number;
}
export type Cell = string | number | TimeCell | null;

const timeCell = (at: number, zone: string): TimeCell => ({ wall: wallClock(at, zone) });
/** A cell of a text file. */
const cellText = (cell: Cell): string | number | null =>
  typeof cell === 'object' && cell !== null
    ? new Date(cell.wall).toISOString().slice(0, 19).replace('T', ' ')
    : cell;

/**
 * One row per attempt, by name and attempt: student, number, email, groups, attempt, times, the order in which the student met the questions where the quiz shuffles them, then for each question the answer,
 * the numbers of the hints that were shown where it has hints, its points (empty while it waits) and the rule that decided. The first row holds the headings.
 */
export function answerRows(
  marked: MarkedClass,
  named: ReadonlyMap<string, StudentDetails>,
  only?: ReadonlySet<string>,
): Cell[][] {
  const { paper, work } = marked;
  const { zone } = paper.content;
  const header = [
    'Student',
    'Number',
    'Email',
    'Groups',
    'Attempt',
    'Opened',
    'Handed in',
    ...(paper.content.shuffled ? ['Order met'] : []),
    ...askedIn(paper).flatMap((question, at) => [
      `Q${at + 1}`,
      ...(question.hints.length > 0 ? [`Hints for Q${at + 1}`] : []),
      `Points for Q${at + 1}`,
      `Rule for Q${at + 1}`,
    ]),
  ];
  const numbers = numbersOf(paper.questions);
  const collator = new Intl.Collator('en');
  const rows = marked.students().flatMap(({ studentId, sheets }) => {
    if (only && !only.has(studentId)) return [];
    const who = named.get(studentId) ?? { name: studentId, number: '', email: '', groups: [] };
    return sheets.map(({ attempt, scores }): Cell[] => [
      who.name,
      who.number,
      who.email,
      who.groups.join(', '),
      attempt.number,
      // Nobody knows when a paper from a file was opened.
      attempt.source === 'sat' || attempt.source === 'brought' ? timeCell(attempt.openedAt, zone) : null,
      attempt.timeKnown ? timeCell(finishedAt(attempt, work.windowOf(studentId)), zone) : null,
      ...(paper.content.shuffled ? [orderMet(paper, numbers, attempt)] : []),
      ...paper.questions.flatMap((question, at): Cell[] => {
        if (!kindOf(question).asks) return [];
        const score = scores[at] as QuestionScore;
        const answer = valueAt(attempt.answers, question.id);
        const points = verdictOfScore(score) === 'waits' ? null : Number(pointsText(score.earned));
        const hints =
          question.hints.length > 0 ? [hintsCell(question, valueAt(attempt.hints, question.id) ?? [])] : [];
        return [answerCell(question, answer), ...hints, points, ruleCell(question, answer, score, paper)];
      }),
    ]);
  });
  rows.sort((a, b) => collator.compare(String(a[0]), String(b[0])) || Number(a[4]) - Number(b[4]));
  return [header, ...rows];
}

/** The rows as comma-separated text with a byte order mark and CRLF. */
export const answersCsv = (rows: readonly (readonly Cell[])[]): string =>
  csvText(rows.map((row) => row.map(cellText)));

const LONGEST_CELL = 32_700;
/** The rows as a spreadsheet gets them: what it could take for a formula is guarded there too, as both read back alike. */
export const sheetRows = (rows: readonly (readonly Cell[])[]): Cell[][] =>
  rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' ? guarded(cell).slice(0, LONGEST_CELL) : cell)),
  );

/**
 * Answers as a file has them, where some were there before: one that the file writes as it would have been written before
 * stays exactly what it was, signs that no file shows included, and so do answers to questions that the paper no longer has.
 */
export function keptAnswers(
  paper: Paper,
  read: Readonly<Record<string, Answer>>,
  before: Readonly<Record<string, Answer>>,
): Record<string, Answer> {
  const there = new Set(paper.questions.map(({ id }) => id));
  // Answers to questions that have gone since are in no file.
  const gone = Object.entries(before).filter(([id]) => !there.has(id));
  const answers: Record<string, Answer> = { ...read, ...Object.fromEntries(gone) };
  for (const question of paper.questions) {
    const [now, then] = [valueAt(read, question.id), valueAt(before, question.id)];
    if (then && answerCell(question, then).trim() === answerCell(question, now).trim())
      answers[question.id] = then;
  }
  return answers;
}
