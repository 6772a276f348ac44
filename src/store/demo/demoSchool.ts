import { readCell, type Answer } from '@/core/kinds';
import { readingOf } from '@/core/scoring/markAttempt';
import type { Attempt } from '@/core/quiz/attempt';
import { placedIn } from '@/core/quiz/paper';
import { CONTENT, PLACEMENTS, QUESTIONS } from '../../../demo/quiz';
import { CLASSES, MEMBERS, STUDENTS, WRITTEN_ANSWERS } from '../../../demo/class';
import { now, ownZone } from '../records/clock';
import { db } from '../records/db';
import { REVISION_TABLES, settle } from '../quiz/revisions';

/** The id of the demo quiz, the same in every browser. */
export const DEMO_QUIZ = 'demo-rivers';
const DAY = 86_400_000;
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** Three in the afternoon, local time, some days before or after an instant. */
function afternoon(at: number, days: number): number {
  const date = new Date(at + days * DAY);
  date.setHours(15, 0, 0, 0);
  return date.getTime();
}

function answersOf(written: readonly string[]): Record<string, Answer> {
  const read = QUESTIONS.map(
    (question, index) =>
      [question.id, readCell(question, written[index] ?? '', readingOf(question, CONTENT)).answer] as const,
  );
  return Object.fromEntries(read.flatMap(([id, answer]) => (answer ? [[id, answer]] : [])));
}

function demoAttempt(written: readonly string[], index: number, opened: number): Attempt {
  const evening = index < 15 ? index * 21 * MINUTE : DAY + (index - 15) * 31 * MINUTE;
  const openedAt = opened + 12 * MINUTE + evening;
  const handedInAt = openedAt + (9 + ((index * 5) % 14)) * MINUTE;
  return {
    id: `demo-paper-${index + 1}`,
    quizId: DEMO_QUIZ,
    studentId: STUDENTS[index]?.id ?? '',
    number: 1,
    revision: 1,
    openedAt,
    savedAt: handedInAt,
    handedInAt,
    timeKnown: true,
    source: 'sat',
    answers: answersOf(written),
    seed: index,
    saves: {},
    seq: index + 1,
  };
}

/** Writes the made-up school, unless another tab was faster. */
export async function writeDemo(): Promise<void> {
  const tables = [...REVISION_TABLES, db.students, db.classes, db.members, db.tickets, db.attempts, db.meta];
  await db.transaction('rw', tables, async () => {
    if (await db.meta.get('started')) return;
    const at = now();
    const opened = afternoon(at, -3);
    await db.meta.put({ key: 'started', value: at });
    await db.quizzes.put({
      id: DEMO_QUIZ,
      content: { ...CONTENT, zone: ownZone() },
      standing: {
        opening: { from: opened, due: null, grace: 0, until: afternoon(at, 2) + HOUR },
        shown: {},
        shownTo: {},
        setTo: [{ classId: CLASSES[0].id, group: null }],
        live: null,
      },
      changeSeq: 1,
      firstHandInAt: null,
      createdAt: at - 5 * DAY,
      changedAt: at - 3 * DAY,
      position: -(at - 5 * DAY),
      archivedAt: null,
      deletedAt: null,
    });
    await db.questions.bulkPut(
      placedIn({ questions: QUESTIONS, placements: PLACEMENTS }).map((placed) => ({
        quizId: DEMO_QUIZ,
        id: placed.question.id,
        rev: 1,
        ...placed,
      })),
    );
    await db.students.bulkPut([...STUDENTS]);
    await db.classes.bulkPut([...CLASSES]);
    await db.members.bulkPut([...MEMBERS]);
    await db.tickets.bulkPut(STUDENTS.map(({ id }) => ({ studentId: id, code: `ticket-of-${id}` })));
    await settle(DEMO_QUIZ, opened + 9 * MINUTE);
    await db.attempts.bulkPut(WRITTEN_ANSWERS.map((written, index) => demoAttempt(written, index, opened)));
    await db.meta.put({ key: `seq:${DEMO_QUIZ}`, value: WRITTEN_ANSWERS.length });
  });
}
