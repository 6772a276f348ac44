import { hasOpenNumbers, namesStudents, proposeColumns } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, readPapers } from '@/core/formats/answerFile';
import {
  attemptOf,
  HandedIn,
  markHandedIn,
  markOwnClass,
  markPapers,
  paperOf,
  questionNames,
  type MarkedWork,
  studentsOf,
} from '@/core/formats/handedIn';
import { fit } from '@/core/formats/quizFile/fit';
import { readQuizData, readQuizFile } from '@/core/formats/quizFile/quizFile';
import type { QuizFile } from '@/core/formats/quizFile/schema';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Paper } from '@/core/quiz/quiz';
import { z } from '@/core/zod';
import { readFile } from '@/files/readFile';
import { LARGEST_FORM, readJson, wholeBody } from './body';
import { refuse } from './problem';
import { pauses } from './turns';

/** What is asked for besides the scores. */
const Options = z.strictObject({
  /** Whether each mark and total comes with the lines that explain it. */
  traces: z.boolean().default(false),
});

export interface MarkRequest {
  readonly work: MarkedWork;
  readonly traces: 'with' | 'without';
  /** What could not be taken as it stands: rows of an answer file, answers that cannot be read and wait. */
  readonly problems: readonly string[];
}

const MOST_ATTEMPTS = 200_000;
/** What a quiz file may unpack to here, where many may come at once. */
const MOST = { unpacked: 100_000_000, pieces: 2_000_000 };
const MOST_PROBLEMS = 20;

/** Attempts as they come: checked one by one, the first problems kept with their place. */
class Attempts {
  readonly read: HandedIn[] = [];
  readonly problems: string[] = [];

  take = (entry: unknown, at: number): void => {
    const one = fit(HandedIn, entry);
    if (one.ok) this.read.push(one.value);
    else if (this.problems.length < MOST_PROBLEMS)
      this.problems.push(...one.problems.map((text) => `attempts[${at}]: ${text}`));
  };
}

/** The attempts, and which of their answers cannot be read: those wait for the teacher, as they do from a file. */
async function attemptsOf(
  list: readonly HandedIn[],
  paper: Paper,
): Promise<{ attempts: Attempt[]; unread: string[] }> {
  const names = questionNames(list, paper);
  if (!names)
    refuse(422, 'The attempts cannot be marked.', [
      'attempts: the quiz has notes, and the numbers of questions can be read with them or without: name the questions by their ids',
    ]);
  const unread: string[] = [];
  const seen = new Set<string>();
  const problems: string[] = [];
  const attempts: Attempt[] = [];
  const pause = pauses();
  for (const [at, one] of list.entries()) {
    const id = `${one.student}/${one.attempt}`;
    if (seen.has(id)) problems.push(`attempts[${at}]: ${one.student} has an attempt ${one.attempt} already`);
    seen.add(id);
    const { attempt, unknown, problems: waiting } = attemptOf(one, id, names, paper);
    unread.push(...waiting.map((text) => `attempts[${at}]: ${text}`));
    if (unknown.length > 0)
      problems.push(`attempts[${at}]: answers: the quiz has no question “${unknown[0] ?? ''}”`);
    attempts.push(attempt);
    await pause();
  }
  if (problems.length > 0) refuse(422, 'The attempts cannot be marked.', problems.slice(0, MOST_PROBLEMS));
  return { attempts, unread };
}

/** `{ quiz, attempts, options }` as JSON; without attempts, the work in the quiz file itself. */
export async function jsonInput(request: Request, at: number): Promise<MarkRequest> {
  const attempts = new Attempts();
  const top = await readJson(request, {
    name: 'attempts',
    most: MOST_ATTEMPTS,
    onEntry: attempts.take,
  });
  const odd = Object.keys(top).find((name) => !['quiz', 'attempts', 'options'].includes(name));
  if (odd !== undefined) refuse(422, 'The body cannot be marked.', [`unknown field “${odd.slice(0, 60)}”`]);
  if (!('quiz' in top)) refuse(422, 'The body cannot be marked.', ['quiz is missing']);
  const quiz = readQuizData(top['quiz']);
  if (!quiz.ok)
    refuse(
      422,
      'The quiz cannot be read.',
      quiz.problems.map((text) => `quiz: ${text}`),
    );
  const options = fit(Options, top['options'] ?? {});
  if (!options.ok)
    refuse(
      422,
      'The options cannot be read.',
      options.problems.map((text) => `options: ${text}`),
    );
  if (attempts.problems.length > 0) refuse(422, 'The attempts cannot be read.', attempts.problems);
  const traces = options.value.traces ? 'with' : 'without';
  if (!('attempts' in top)) return { work: ownWork(quiz.value, at), traces, problems: [] };
  const paper = paperOf(quiz.value);
  const { attempts: read, unread } = await attemptsOf(attempts.read, paper);
  return { work: markHandedIn(quiz.value, paper, read, at), traces, problems: unread };
}

const ownWork = (file: QuizFile, at: number): MarkedWork =>
  markOwnClass(file, at) ??
  refuse(422, 'There is nothing to mark.', ['attempts is missing, and the quiz file holds no work']);

const filePart = async (form: FormData, name: string): Promise<Uint8Array | null> => {
  const part = form.get(name);
  if (part === null) return null;
  return new Uint8Array(await (typeof part === 'string' ? new Blob([part]) : part).arrayBuffer());
};

/** A form with the files `quiz` (a quiz file) and `answers` (an answer file, CSV or XLSX), and `traces=yes`. */
export async function formInput(request: Request, at: number): Promise<MarkRequest> {
  const bytes = await wholeBody(request, LARGEST_FORM);
  let form: FormData;
  try {
    const type = request.headers.get('content-type') ?? '';
    form = await new Response(bytes, { headers: { 'content-type': type } }).formData();
  } catch {
    return refuse(400, 'The form cannot be read as multipart/form-data.');
  }
  const quizBytes = await filePart(form, 'quiz');
  if (!quizBytes) return refuse(422, 'The form cannot be marked.', ['quiz is missing: a quiz file']);
  const quiz = readQuizFile(quizBytes, 'UTC', MOST);
  if (!quiz.ok)
    return refuse(
      422,
      'The quiz file cannot be read.',
      quiz.problems.map((text) => `quiz: ${text}`),
    );
  const traces = form.get('traces') === 'yes' ? 'with' : 'without';
  const answers = await filePart(form, 'answers');
  if (!answers) return { work: ownWork(quiz.value.file, at), traces, problems: [] };
  return { ...(await answerInput(quiz.value.file, answers, at)), traces };
}

/** The rows of an answer file, its columns as the application would propose them. */
export async function answerInput(
  file: QuizFile,
  bytes: Uint8Array,
  at: number,
): Promise<Omit<MarkRequest, 'traces'>> {
  const table = await readFile(bytes, file.quiz.content.language);
  if (!table.ok) return refuse(422, 'The answer file cannot be read.', [`answers: ${table.error}`]);
  const paper = paperOf(file);
  const students = file.class ? studentsOf(file.class).filter(({ removedAt }) => removedAt === null) : [];
  const columns = proposeColumns(table.table, paper.questions, students);
  if (!namesStudents(columns))
    return refuse(422, 'The answer file cannot be read.', [
      'answers: no column holds names, numbers or email addresses of students',
    ]);
  if (hasOpenNumbers(table.table, columns, paper.questions))
    return refuse(422, 'The answer file cannot be read.', [
      'answers: the quiz has notes, and the numbers in the headings can be read with them or without: name the questions by their text',
    ]);
  const choices = { ...DEFAULT_CHOICES, twice: 'attempts' as const, unlisted: 'add' as const };
  const { papers, problems } = readPapers(table.table, columns, paper, students, choices);
  return {
    work: markPapers(file, paper, papers, at),
    problems: problems.map(({ line, column, text }) => `line ${line}${column ? `, ${column}` : ''}: ${text}`),
  };
}
