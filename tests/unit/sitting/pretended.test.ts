import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, mock, test } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { at, NEVER, planOf, waitsFor } from '@/core/quiz/plan/plan';
import type { PaperPacket } from '@/core/reveal/packets';
import { rulingsThen } from '@/core/sitting/pretended';
import { db } from '@/store/records/db';
import { saveComment } from '@/store/work/comments';
import { setOwnWindow, showAspects } from '@/store/quiz/standing';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf, sent } from '../support/sat';
import { phraseQuestion, quizOf, variant } from '../support/support';

/** Three groups on three days; each row of the tables below is an hour from the beginning of the first. */
const HOUR = 3_600_000;
const START = Date.parse('2026-11-23T00:00:00Z');
const hour = (hours: number): number => START + hours * HOUR;
const GROUPS = { blue: [8, 16], green: [32, 40], grey: [56, 64] } as const;
type Group = keyof typeof GROUPS;
const idOf = (group: Group): string => `student-${group}`;

const canary = (name: string): string => `CANARY ${name}`;

async function school(): Promise<string> {
  const groups = Object.keys(GROUPS) as Group[];
  await db.classes.add({ id: 'c', name: '8C', position: 1, archivedAt: null });
  await db.students.bulkAdd(
    groups.map((group) => ({
      id: idOf(group),
      name: `Student ${group}`,
      number: '',
      email: '',
      moreTime: null,
    })),
  );
  await db.members.bulkAdd(
    groups.map((group) => ({ classId: 'c', studentId: idOf(group), groups: [group], removedAt: null })),
  );
  const question = {
    ...phraseQuestion([variant('v', [canary('form')])], {}, { id: 'q1' }),
    wrong: { text: canary('feedback'), links: [] },
    explanation: canary('explanation'),
  };
  const closedForAll = { when: 'allClosed', scope: 'all', delay: { amount: 1, unit: 'hour' } } as const;
  const plan = planOf(NEVER, {
    score: waitsFor(at('handedIn')),
    questions: waitsFor(at('handedIn')),
    ownAnswers: waitsFor(at('handedIn')),
    feedback: waitsFor(at('closed')),
    rightAnswers: waitsFor(closedForAll),
    comments: waitsFor(at('byTeacher')),
  });
  const id = await quizOf({ ...emptyContent('Three days', 'UTC'), order: ['q1'], plan }, [question]);
  await db.quizzes.where('id').equals(id).modify((quiz) => {
    quiz.standing.setTo = [{ classId: 'c', group: null }];
  }); // prettier-ignore
  for (const group of groups) {
    const [from, until] = GROUPS[group];
    await setOwnWindow(id, { kind: 'group', classId: 'c', group }, { from: hour(from), until: hour(until) });
  }
  return id;
}

const asOf = (now: number): void => mock.timers.setTime(now);

async function sit(id: string, group: Group): Promise<string> {
  asOf(hour(GROUPS[group][0] + 1));
  const where = await addressOf(id, idOf(group));
  const begun = await studentDesk.begin(where);
  assert.ok(begun.state === 'working');
  const { attemptId } = begun.working;
  await studentDesk.saveAnswer(where, sent(attemptId, 'q1', { kind: 'phrase', text: 'mine' }));
  asOf(hour(GROUPS[group][0] + 2));
  assert.equal((await studentDesk.handIn(where, attemptId)).state, 'kept');
  return attemptId;
}

/** What is in a packet: its state, and the canaries and parts that anyone could find in what was sent. */
function found(packet: PaperPacket): string {
  const text = JSON.stringify(packet);
  const canaries = ['form', 'feedback', 'explanation', 'comment'].filter((name) =>
    text.includes(canary(name)),
  );
  const score = packet.state === 'finished' && packet.slip.score !== null ? ['score'] : [];
  return [packet.state, ...score, ...canaries].join(' ');
}

beforeEach(async () => {
  mock.timers.reset();
  mock.timers.enable({ apis: ['Date'], now: START });
  await db.delete();
  await db.open();
});

describe('three groups on three days, each looked at from five instants', () => {
  const expected: Record<Group, [hours: number, sees: string][]> = {
    blue: [
      [7, 'closed'],
      [9.5, 'working'],
      [11, 'finished score'],
      [16, 'finished score feedback'],
      [65, 'finished score form feedback explanation comment'],
    ],
    green: [
      [16, 'closed'],
      [32, 'ready'],
      [34, 'finished score'],
      [64.9, 'finished score feedback comment'],
      [65, 'finished score form feedback explanation comment'],
    ],
    grey: [
      [55, 'closed'],
      [57, 'working'],
      [58, 'finished score'],
      [64, 'finished score feedback'],
      [65, 'finished score form feedback explanation'],
    ],
  };
  for (const group of Object.keys(GROUPS) as Group[])
    test(group, async () => {
      const id = await school();
      for (const one of Object.keys(GROUPS) as Group[]) {
        const attempt = await sit(id, one);
        if (one !== 'grey') await saveComment(id, attempt, '', canary('comment'));
      }
      asOf(hour(50));
      await showAspects(id, ['comments'], 'show');
      const before = JSON.stringify(await db.history.toArray());
      for (const [hours, sees] of expected[group]) {
        // Looked at from now, and on the student's own page when that time has come: the same.
        asOf(hour(70));
        assert.equal(found(await classDesk.seenAt(id, idOf(group), hour(hours))), sees, `at ${hours}`);
      }
      assert.equal(JSON.stringify(await db.history.toArray()), before, 'nothing was written');
      asOf(hour(65));
      const last = expected[group].at(-1)?.[1];
      assert.equal(found(await studentDesk.openPaper(await addressOf(id, idOf(group)))), last);
    });
});

test('late work that was taken in later was not taken in then; other rulings bear no time', () => {
  const ruling = (standing: 'takenIn' | 'voided', takenInAt?: number) => ({
    quizId: 'q', attemptId: 'a', standing, lateness: 'counts', note: '', ...(takenInAt === undefined ? {} : { takenInAt }),
  }) as const; // prettier-ignore
  const then = (one: ReturnType<typeof ruling>) => rulingsThen(new Map([['a', one]]), 50).get('a')?.standing;
  assert.deepEqual(
    [
      then(ruling('takenIn', 51)),
      then(ruling('takenIn', 50)),
      then(ruling('takenIn')),
      then(ruling('voided')),
    ],
    ['asRules', 'takenIn', 'takenIn', 'voided'],
  );
});
