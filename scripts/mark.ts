/**
 * `npm run mark -- quiz.yentrel answers.csv [--out scores.csv] [--trace student]`: marks an answer file by a quiz file, as
 * the application would. Without an answer file, the work in the quiz file itself.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { markOwnClass, type MarkedWork } from '@/core/formats/handedIn';
import { scoresCsv, studentJson } from '@/core/formats/markedFile';
import { readQuizFile } from '@/core/formats/quizFile/quizFile';
import { answerInput } from '@/server/mark/input';
import { Refused } from '@/server/mark/problem';
import { readListsFrom } from '@/server/wordLists';
import { now } from '@/device/clock';

readListsFrom('public/words');

const USAGE = `npm run mark -- QUIZ [ANSWERS] [--out FILE] [--trace STUDENT]

  QUIZ      a quiz file (.yentrel)
  ANSWERS   an answer file (CSV or XLSX); without it, the work in the quiz file
  --out     where the scores go (CSV); without it, to the terminal
  --trace   how one student's score came about, by name or number`;

/** npm runs this in the project's folder: paths are meant from where the command was given. */
const fromHere = (path: string): string => resolve(process.env['INIT_CWD'] ?? '.', path);

/** Ends with words about what is wrong and where. */
function end(...lines: readonly string[]): never {
  console.error(lines.join('\n'));
  process.exit(1);
}

function bytesOf(path: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(fromHere(path)));
  } catch (error) {
    return end(`${path} cannot be read: ${(error as Error).message}`);
  }
}

interface Traced {
  student: string;
  attempts: { attempt: number; trace?: string[]; marks: { verdict: string; trace?: string[] }[] }[];
}

function traced({ marked, named }: MarkedWork, who: string): string {
  const found = marked.students().filter((work) => {
    const student = named.get(work.studentId);
    return student?.name === who || (student?.number !== '' && student?.number === who);
  });
  const [work] = found;
  if (!work) return end(`Nobody called “${who}” has handed anything in.`);
  if (found.length > 1) return end(`${found.length} students are called “${who}”: use the number.`);
  const text = studentJson(work, named.get(work.studentId), marked.paper, 'with');
  const { student, attempts } = JSON.parse(text) as Traced;
  const lines = attempts.flatMap(({ attempt, marks, trace }) => [
    `Attempt ${attempt}`,
    ...marks.flatMap((one, at) => [
      `  Question ${at + 1}, ${one.verdict}`,
      ...(one.trace ?? []).map((line) => `    ${line}`),
    ]),
    ...(trace ?? []).map((line) => `  ${line}`),
  ]);
  return [student, ...lines].join('\n');
}

async function read(quizPath: string, answersPath: string | undefined): Promise<MarkedWork> {
  const quiz = readQuizFile(bytesOf(quizPath));
  if (!quiz.ok) return end(`${quizPath} cannot be taken:`, ...quiz.problems.map((text) => `  ${text}`));
  if (answersPath === undefined)
    return markOwnClass(quiz.value.file, now()) ?? end(`${quizPath} holds no work: give an answer file.`);
  try {
    const { work, problems } = await answerInput(quiz.value.file, bytesOf(answersPath), now());
    for (const text of problems) console.error(`${answersPath}, ${text}`);
    return work;
  } catch (error) {
    if (error instanceof Refused)
      return end(`${answersPath} cannot be taken:`, ...error.problem.problems.map((text) => `  ${text}`));
    throw error;
  }
}

function argumentsOf() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { out: { type: 'string' }, trace: { type: 'string' } },
    });
  } catch (error) {
    return end((error as Error).message, '', USAGE);
  }
}

const { values, positionals } = argumentsOf();
const [quizPath, answersPath, ...more] = positionals;
if (quizPath === undefined || more.length > 0) end(USAGE);
const work = await read(quizPath as string, answersPath);
if (values.trace !== undefined) console.log(traced(work, values.trace));
else {
  const csv = scoresCsv(work);
  if (values.out === undefined) process.stdout.write(csv.replace(/^\uFEFF/, ''));
  else {
    writeFileSync(fromHere(values.out), csv);
    console.log(`${values.out}: scores of ${work.marked.students().length} students`);
  }
}
