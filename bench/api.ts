/**
 * `npm run bench:api`: marking over HTTP, by a server of its own: 10 000 made-up students × 40 questions in one request, and
 * 50 requests at once. Each is compared with marking in this process. Needs a build (`npm run build`).
 */
import type { HandedIn } from '@/core/formats/handedIn';
import { markHandedIn, attemptOf, questionNames } from '@/core/formats/handedIn';
import { FORM_VERSION } from '@/core/formats/quizFile/schema';
import { madeUpClass } from '@/core/madeUp/class';
import { readListsFrom } from '@/server/wordLists';
import { others, serveMeasured } from './served';
import { PAPER, PAPER_CONTENT, PAPER_QUESTIONS } from './paper';

readListsFrom('public/words');

const STUDENTS = Number(process.env['STUDENTS'] ?? 10_000);
const QUIZ = {
  format: 'yentrel-quiz' as const,
  version: FORM_VERSION as typeof FORM_VERSION,
  quiz: {
    id: 'bench',
    content: PAPER_CONTENT,
    questions: [...PAPER_QUESTIONS],
    placements: [...PAPER.placements],
    createdAt: 0,
    changedAt: 0,
  },
  share: null,
  class: null,
};

function attemptsOf(students: number, seed: number): HandedIn[] {
  const made: HandedIn[] = [];
  const plan = { seed, students, neverStart: 0, repeat: 0 };
  let next = 0;
  for (const { number, answers } of madeUpClass(PAPER_QUESTIONS, plan))
    if (number === 1)
      made.push({ student: `Student ${++next}`, attempt: 1, handedInAt: null, answers, hints: {} });
  return made;
}

interface Marked {
  students: { student: string; recorded: { score: { exact: string } } }[];
}

/** Each student's exact score as this process marks it. */
function expected(attempts: readonly HandedIn[]): Map<string, string> {
  const names = questionNames(attempts, PAPER) ?? new Map();
  const list = attempts.map((one, at) => attemptOf(one, String(at), names, PAPER).attempt);
  const { marked } = markHandedIn(QUIZ, PAPER, list, 0);
  return new Map(
    marked.students().map(({ studentId, recorded }) => {
      const { n, d } = recorded?.score ?? { n: 0, d: 1 };
      return [studentId, d === 1 ? `${n}` : `${n}/${d}`];
    }),
  );
}

function wrongIn(body: string, attempts: readonly HandedIn[]): number {
  const scores = expected(attempts);
  const { students } = JSON.parse(body) as Marked;
  const wrong = students.filter(({ student, recorded }) => scores.get(student) !== recorded.score.exact);
  return wrong.length + Math.abs(students.length - attempts.length);
}

const megabytes = (bytes: number): number => +(bytes / 1e6).toFixed(1);
const { address, memory, stop } = await serveMeasured();
const post = (body: string): Promise<Response> =>
  fetch(`${address}/api/mark`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json' },
  });

try {
  const attempts = attemptsOf(STUDENTS, 11);
  const body = JSON.stringify({ quiz: QUIZ, attempts });
  await (await post(JSON.stringify({ quiz: QUIZ, attempts: attempts.slice(0, 50) }))).text();
  const idle = memory().now;
  const started = performance.now();
  const watched = others(address);
  const response = await post(body);
  const text = await response.text();
  const ms = performance.now() - started;
  const slowest = await watched();
  console.table({
    [`${STUDENTS} students × ${PAPER_QUESTIONS.length} questions`]: {
      status: response.status,
      ms: Math.round(ms),
      'MB sent': megabytes(body.length),
      'MB back': megabytes(text.length),
      'wrong scores': wrongIn(text, attempts),
      'slowest other answer, ms': Math.round(slowest),
      'server idle, MB': idle,
      'server peak, MB': memory().peak,
    },
  });
  const small = Array.from({ length: 50 }, (_, at) => attemptsOf(30, 100 + at));
  const begun = performance.now();
  const answers = await Promise.all(
    small.map(async (one) => {
      const answer = await post(JSON.stringify({ quiz: QUIZ, attempts: one }));
      return { status: answer.status, wrong: answer.ok ? wrongIn(await answer.text(), one) : 0 };
    }),
  );
  const count = (status: number) => answers.filter((answer) => answer.status === status).length;
  console.table({
    '50 requests at once, 30 students each': {
      ms: Math.round(performance.now() - begun),
      'answered 200': count(200),
      'answered 503': count(503),
      'wrong scores': answers.reduce((sum, { wrong }) => sum + wrong, 0),
    },
  });
} finally {
  stop();
}
