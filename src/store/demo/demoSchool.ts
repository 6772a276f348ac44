import { madeUpTicket } from '@/core/madeUp/tickets';
import { readCell, type Answer } from '@/core/kinds';
import { NEW_STANDING } from '@/core/quiz/newQuiz';
import { aspectsByHand } from '@/core/reveal/byHand';
import type { Attempt } from '@/core/quiz/work/attempt';
import { placedIn } from '@/core/quiz/paper';
import type { Opening } from '@/core/quiz/quiz';
import { readingOf } from '@/core/scoring/context';
import { CLASSES, MEMBERS, STUDENTS } from '../../../demo/classes';
import { SCHOOL, type DemoPaper, type DemoWork, type Moment } from '../../../demo/school';
import { now, ownZone } from '@/device/clock';
import { db } from '../records/db';
import { REVISION_TABLES, settle } from '../quiz/revisions';

/** The ids of the demo quizzes, the same in every browser. */
export const DEMO_QUIZZES: readonly string[] = SCHOOL.map(({ quiz }) => quiz.id);
const DAY = 86_400_000;
const MINUTE = 60_000;

/** A moment as ms since 1970, by the browser's own time zone. */
function timeOf(at: number, { days, hour, schoolDay }: Moment): number {
  const date = new Date(at);
  date.setDate(date.getDate() + days);
  while (schoolDay && (date.getDay() === 0 || date.getDay() === 6)) date.setDate(date.getDate() + 1);
  date.setHours(hour, 0, 0, 0);
  return date.getTime();
}

function openingOf(at: number, { opening }: DemoWork): Opening | null {
  if (!opening) return null;
  const { from, due, until } = opening;
  return { from: timeOf(at, from), due: due && timeOf(at, due), grace: 0, until: timeOf(at, until) };
}

function answersOf({ quiz }: DemoWork, written: readonly string[]): Record<string, Answer> {
  const read = quiz.questions.map(
    (question, index) =>
      [
        question.id,
        readCell(question, written[index] ?? '', readingOf(question, quiz.content)).answer,
      ] as const,
  );
  return Object.fromEntries(read.flatMap(([id, answer]) => (answer ? [[id, answer]] : [])));
}

const paperId = ({ quiz }: DemoWork, index: number): string => `${quiz.id}-paper-${index + 1}`;

function attemptOf(work: DemoWork, paper: DemoPaper, index: number, at: number): Attempt {
  const opened = paper.opened ?? work.opening?.from;
  const openedAt = (opened ? timeOf(at, opened) : at) + paper.begun * MINUTE;
  const savedAt = openedAt + paper.minutes * MINUTE;
  return {
    id: paperId(work, index),
    quizId: work.quiz.id,
    studentId: paper.studentId,
    number: paper.number ?? 1,
    revision: 1,
    openedAt,
    savedAt,
    handedInAt: paper.handedIn ? savedAt : null,
    timeKnown: true,
    source: 'sat',
    answers: answersOf(work, paper.written),
    seed: index,
    saves: {},
    hints: {},
    seq: index + 1,
  };
}

/** What the teacher has set and said about a quiz's papers. */
async function writeRulings(work: DemoWork, shownAt: number): Promise<void> {
  const quizId = work.quiz.id;
  const whole = (n: number) => ({ n, d: 1 });
  await db.overrides.bulkPut(
    work.ownScores.map(({ paper, questionId, points, gave, reason }) => ({
      quizId,
      attemptId: paperId(work, paper),
      questionId,
      points: whole(points),
      gave: whole(gave),
      reason,
      at: shownAt - DAY,
    })),
  );
  await db.comments.bulkPut(
    work.comments.map(({ paper, text }) => ({
      quizId,
      attemptId: paperId(work, paper),
      questionId: '',
      text,
      at: shownAt - DAY,
    })),
  );
}

async function writeQuiz(work: DemoWork, at: number): Promise<void> {
  const { quiz, papers } = work;
  const opening = openingOf(at, work);
  const createdAt = at - work.age * DAY;
  const shownAt = work.shown ? timeOf(at, work.shown) : null;
  const waits = aspectsByHand(quiz.content.plan);
  await db.quizzes.put({
    id: quiz.id,
    content: { ...quiz.content, zone: ownZone() },
    standing: {
      ...NEW_STANDING,
      opening,
      windows: (work.windows ?? []).map(({ for: target, from, due, until }, index) => ({
        id: `${quiz.id}-window-${index + 1}`,
        for: target,
        set: {
          ...(from && { from: timeOf(at, from) }),
          ...(due && { due: timeOf(at, due) }),
          until: timeOf(at, until),
        },
      })),
      granted: { ...work.granted },
      acts:
        shownAt === null || waits.length === 0
          ? []
          : [{ id: `${quiz.id}-shown`, at: shownAt, act: 'show', aspects: waits, to: { kind: 'all' } }],
      setTo: [...work.setTo],
    },
    changeSeq: 1,
    firstHandInAt: null,
    createdAt,
    changedAt: createdAt + DAY / 2,
    position: -createdAt,
    archivedAt: null,
    deletedAt: null,
  });
  await db.questions.bulkPut(
    placedIn(quiz).map((placed) => ({ quizId: quiz.id, id: placed.question.id, rev: 1, ...placed })),
  );
  if (!opening || papers.length === 0) return;
  const attempts = papers.map((paper, index) => attemptOf(work, paper, index, at));
  await settle(quiz.id, Math.min(...attempts.flatMap(({ handedInAt }) => handedInAt ?? [])));
  await db.attempts.bulkPut(attempts);
  await db.meta.put({ key: `seq:${quiz.id}`, value: papers.length });
  await writeRulings(work, shownAt ?? at);
}

/** Writes the made-up school, unless another tab was faster. */
export async function writeDemo(): Promise<void> {
  const school = [db.students, db.classes, db.members, db.tickets, db.attempts, db.overrides, db.comments];
  await db.transaction('rw', [...REVISION_TABLES, ...school, db.meta], async () => {
    if (await db.meta.get('started')) return;
    const at = now();
    await db.meta.put({ key: 'started', value: at });
    await db.students.bulkPut([...STUDENTS]);
    await db.classes.bulkPut([...CLASSES]);
    await db.members.bulkPut([...MEMBERS]);
    await db.tickets.bulkPut(STUDENTS.map(({ id }) => ({ studentId: id, code: madeUpTicket(id) })));
    for (const work of SCHOOL) await writeQuiz(work, at);
  });
}
