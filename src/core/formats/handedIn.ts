import { valueAt } from '../figures/valueAt';
import { MarkedClass, overridesByAttempt, type ClassWork } from '../checking/classWork';
import type { Fraction } from '../figures/fraction';
import { Answer, readCell, type Question } from '../kinds';
import { contextOf } from '../scoring/context';
import { markAnswer, scoreMark } from '../scoring/markAttempt';
import type { Attempt } from '../quiz/work/attempt';
import { studentsSet, type Student, type StudentDetails } from '../quiz/people/school';
import { byNewestRules, paperFrom, placedIn } from '../quiz/paper';
import type { Override } from '../quiz/work/override';
import { lineText } from '../content/shownText';
import type { Paper } from '../quiz/quiz';
import { windowOfQuiz } from '../quiz/times/window';
import { sameForAll } from '../quiz/times/windows';
import { windowsOf } from '../quiz/times/windowsOf';
import { z } from '../zod';
import { hintsNamed } from './hintCells';
import { FROM_FILE, type ReadPaper } from './answerFile';
import { pointsText } from './answersOut';
import { countedBy } from './questionNumbers';
import type { ClassPart, QuizFile } from './quizFile/schema';

/** Work that comes from outside to be marked, without a browser’s store: as JSON, or as the rows of an answer file. */

/** One attempt as another program hands it in. */
export const HandedIn = z.strictObject({
  /** Who it is: a name or a number, the same for all attempts of one student. */
  student: z.string().min(1).max(200),
  /** 1 for the first. */
  attempt: z.number().int().min(1).max(1000).default(1),
  /** An instant such as `2026-01-05T16:20:00Z`; null: not late in any case. */
  handedInAt: z.iso.datetime({ offset: true }).nullable().default(null),
  /** By the question’s id, or its number (notes have none): an answer, or the text that would stand in an answer file. */
  answers: z.record(z.string().max(40), Answer.or(z.string().max(10_000))),
  /** By the question’s id or number, the hints that were shown: each by its id, or its number among them. */
  hints: z
    .record(z.string().max(40), z.array(z.string().max(40).or(z.number().int().min(1))).max(20))
    .default({}),
});
export type HandedIn = z.infer<typeof HandedIn>;

const SOME = {
  quizId: 'marked',
  revision: 1,
  openedAt: 0,
  source: 'file',
  seed: 0,
  saves: {},
  seq: 0,
} as const;

/** An attempt out of JSON. Answers to questions that are not there are told by their key, and what could not be read. */
export function attemptOf(
  one: HandedIn,
  id: string,
  names: ReadonlyMap<string, Question>,
  paper: Paper,
): { attempt: Attempt; unknown: string[]; problems: string[] } {
  const answers: Record<string, Answer> = {};
  const unknown: string[] = [];
  const problems: string[] = [];
  for (const [key, given] of Object.entries(one.answers)) {
    const question = names.get(key);
    if (!question) unknown.push(key);
    else {
      const read =
        typeof given === 'string'
          ? readCell(question, given, contextOf(paper, question))
          : { answer: given, problem: null };
      if (read.answer) answers[question.id] = read.answer;
      if (read.problem !== null) problems.push(`answers “${key}”: ${read.problem}, so it is for you to mark`);
    }
  }
  const hints: Record<string, string[]> = {};
  for (const [key, shown] of Object.entries(one.hints)) {
    const question = names.get(key);
    if (!question) unknown.push(key);
    else {
      const read = hintsNamed(question, shown);
      if (read.ids.length > 0) hints[question.id] = read.ids;
      problems.push(...read.unknown.map((name) => `hints “${key}”: there is no hint ${name}; ignored`));
    }
  }
  const handedInAt = one.handedInAt === null ? 0 : Date.parse(one.handedInAt);
  return {
    attempt: {
      ...SOME,
      id,
      studentId: one.student,
      number: one.attempt,
      savedAt: handedInAt,
      handedInAt,
      timeKnown: one.handedInAt !== null,
      answers,
      hints,
    },
    unknown,
    problems,
  };
}

/**
 * The questions of a paper by id and by number, as attempts name them; an id that is a number wins. null where their
 * numbers can mean two questions.
 */
export function questionNames(
  attempts: Iterable<HandedIn>,
  { questions }: Paper,
): ReadonlyMap<string, Question> | null {
  const byId = new Map(questions.map((question) => [question.id, question]));
  const numbers = new Set<number>();
  for (const { answers, hints } of attempts)
    for (const key of [...Object.keys(answers), ...Object.keys(hints)])
      if (!byId.has(key) && /^\d{1,3}$/.test(key)) numbers.add(Number(key));
  const counted = countedBy([...numbers], questions);
  return counted && new Map([...counted.map((question, at) => [String(at + 1), question] as const), ...byId]);
}

/** Work with the names of those whose it is. */
export interface MarkedWork {
  readonly marked: MarkedClass;
  readonly named: ReadonlyMap<string, StudentDetails>;
}

/** The paper of a quiz file: the revision that counts where somebody has handed in, else what is written. */
export function paperOf({ quiz, class: part }: QuizFile): Paper {
  const live = part && part.firstHandInAt !== null ? part.standing.live : null;
  const revision = part?.revisions.find(({ rev }) => rev === live);
  if (!part || !revision) return byNewestRules(paperFrom(quiz.content, placedIn(quiz)));
  const counting = part.questionRevisions.filter(
    ({ questionId, rev }) => valueAt(revision.questionRevs, questionId) === rev,
  );
  // A file brings no marks: there are none by earlier rules that could stand.
  return byNewestRules(paperFrom(revision.content, counting));
}

/** The window of each student of a file: of somebody who is not in it, the quiz's. */
function windowsIn({ quiz, class: part }: QuizFile): ClassWork['windowOf'] {
  const rules = quiz.content;
  if (!part) return () => sameForAll(windowOfQuiz(null, rules));
  return windowsOf(windowOfQuiz(part.standing.opening, rules), part.standing, part.students, part.members);
}

const NO_RULINGS = new Map();

function workFrom(
  file: QuizFile,
  attempts: readonly Attempt[],
  overrides: ClassWork['overrides'],
  at: number,
): ClassWork {
  return {
    attempts,
    windowOf: windowsIn(file),
    unfinished: file.quiz.content.unfinished,
    overrides,
    rulings: NO_RULINGS,
    at,
  };
}

/** Attempts from another program, ready to be marked. */
export function markHandedIn(
  file: QuizFile,
  paper: Paper,
  attempts: readonly Attempt[],
  at: number,
): MarkedWork {
  const named = new Map(
    attempts.map(({ studentId }) => [
      studentId,
      { id: studentId, name: lineText(studentId), number: '', email: '', groups: [] as string[] },
    ]),
  );
  return { marked: new MarkedClass(paper, workFrom(file, attempts, new Map(), at)), named };
}

/** Everyone whom the quiz of a file is set to. */
export const studentsOf = ({ standing, students, members }: ClassPart): Student[] =>
  studentsSet(standing.setTo, students, members);

/** The file’s own class: everyone’s work as it lies there, with the teacher’s own scores and rulings. */
export function markOwnClass(file: QuizFile, at: number): MarkedWork | null {
  const part = file.class;
  if (!part) return null;
  const overrides = overridesByAttempt(part.overrides);
  const rulings = new Map(part.rulings.map((ruling) => [ruling.attemptId, ruling]));
  const named = new Map(studentsOf(part).map((student) => [student.id, student]));
  const attempts = part.attempts.filter(({ studentId }) => named.has(studentId));
  const work = { ...workFrom(file, attempts, overrides, at), rulings };
  return { marked: new MarkedClass(paperOf(file), work), named };
}

/** Rows of an answer file, ready to be marked. Points given by hand stand as the teacher’s own scores. */
export function markPapers(
  file: QuizFile,
  paper: Paper,
  papers: readonly ReadPaper[],
  at: number,
): MarkedWork {
  const named = new Map<string, StudentDetails>();
  const groups = new Map((file.class ? studentsOf(file.class) : []).map(({ id, groups }) => [id, groups]));
  const attempts: Attempt[] = [];
  const overrides = new Map<string, Record<string, Override>>();
  for (const { studentId, name, number, email, attempt, handedInAt, answers, hints, points } of papers) {
    const id = studentId ?? `${name}|${number}|${email}`;
    named.set(id, { id, name, number, email, groups: groups.get(id) ?? [] });
    const attemptId = `${id}/${attempt}`;
    const when = handedInAt ?? 0;
    attempts.push({
      ...SOME,
      id: attemptId,
      studentId: id,
      number: attempt,
      savedAt: when,
      handedInAt: when,
      timeKnown: handedInAt !== null,
      answers,
      hints: { ...hints },
    });
    const own = Object.entries(points).flatMap(([questionId, given]) =>
      byHand(paper, attemptId, questionId, given, { answers, hints }),
    );
    if (own.length > 0) overrides.set(attemptId, Object.fromEntries(own));
  }
  return { marked: new MarkedClass(paper, workFrom(file, attempts, overrides, at)), named };
}

function byHand(
  paper: Paper,
  attemptId: string,
  questionId: string,
  points: Fraction,
  { answers, hints }: Pick<ReadPaper, 'answers' | 'hints'>,
): [string, Override][] {
  const question = paper.questions.find(({ id }) => id === questionId);
  const mark =
    question && markAnswer(question, valueAt(answers, questionId) ?? null, contextOf(paper, question));
  const gave =
    question && mark ? scoreMark(mark, question, paper, null, valueAt(hints, questionId)).marked : null;
  // Points that automatic marking gives are not an own score.
  if (gave && pointsText(gave) === pointsText(points)) return [];
  return [
    [questionId, { quizId: SOME.quizId, attemptId, questionId, points, reason: FROM_FILE, at: 0, gave }],
  ];
}
