import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import { at as once, NEVER, planOf, waitsFor } from '@/core/quiz/plan/plan';
import { plain } from '@/core/content/plainText';
import { newSection } from '@/core/quiz/section';
import type { QuizContent, QuizStanding } from '@/core/quiz/quiz';
import { db } from '@/store/records/db';
import { saveContent } from '@/store/quiz/edits';
import { head } from '@/store/quiz/quizzes';
import { setQuizTo } from '@/store/quiz/standing';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf } from '../support/sat';
import { putStudents } from '../support/school';
import { anHourIn, begin, HOUR, later, MINUTE, quiz, sit, START } from '../support/openQuiz';

beforeEach(anHourIn);

test('how the class did goes by those whom the quiz is set to', async () => {
  const ids = (c: string) => [1, 2, 3, 4].map((n) => ({ id: `${c}${n}`, name: `${c} ${n}` }));
  await putStudents(ids('a'), 'k1');
  await putStudents(ids('b'), 'k2');
  const id = await quiz({ plan: planOf(waitsFor(once('handedIn'))) }, ['k1', 'k2']);
  for (const { id: s } of ids('a')) await sit(id, s, 'wrong');
  for (const { id: s } of ids('b')) await sit(id, s, 'silt');
  await setQuizTo(id, [{ classId: 'k1', group: null }]);
  const p = await studentDesk.openPaper(await addressOf(id, 'a1'));
  assert.equal(p.state === 'finished' ? p.slip.classDid : 0, null, 'four papers say nothing of a class');
});

test('a locked student can be let go on after the rule was set', async () => {
  const id = await quiz();
  await sit(id, 's1', 'silt');
  await begin(id, 's2');
  await classDesk.quizCounts(id);
  await saveContent(id, { comingBack: false }, (await head(id)).content, { label: 'x', field: '' });
  later(10 * MINUTE);
  const { effects } = await classDesk.actEffects(id, 's2', [{ act: 'letGoOn' }], { act: 'letGoOn' });
  assert.equal(effects[0]?.problem, null);
});

type Changes<Of> = { readonly [Field in keyof Required<Of>]: Of[Field] };
const student = { kind: 'student', studentId: 's1' } as const;

/** Each field of a quiz's content with another value than it has. */
const CONTENT: Changes<QuizContent> = {
  title: 'Deltas',
  topic: 'Deltas',
  instructions: plain('Read the map.'),
  formulas: [],
  language: 'fr',
  comparing: 1,
  defaultPoints: { n: 4, d: 1 },
  mustAnswer: 'any',
  penalty: { kind: 'points', points: { n: 1, d: 2 } },
  negativeCredit: true,
  order: ['q1', 's9'],
  sections: [newSection('s9')],
  strict: true,
  shuffled: true,
  shuffledOptions: true,
  pages: 'one',
  bands: [{ id: 'b', from: { n: 1, d: 2 }, feedback: { text: 'Good.', links: [] } }],
  bandsOnCover: true,
  plan: planOf(waitsFor(once('marked'))),
  unfinished: 'notCounted',
  missing: 'zero',
  attempts: { most: 4, counts: 'latest' },
  timeLimit: 30,
  goingBack: false,
  comingBack: false,
  late: { kind: 'steps', step: 'hour', share: { n: 1, d: 10 }, of: 'earned', cap: null },
  scoring: { floor: true, repeat: null, bonusLifts: false, outOf: { n: 20, d: 1 }, rounding: 1 },
  decimalSign: 'comma',
  zone: 'Asia/Tokyo',
};

/** Each field of what stands with another value than it has. */
const STANDING: Changes<Omit<QuizStanding, 'live'>> = {
  opening: { from: START, due: START + MINUTE, grace: 0, until: START + 90 * MINUTE },
  windows: [{ id: 'w', for: student, set: { until: START + 61 * MINUTE, attempts: 3 } }],
  plans: [{ id: 'p', for: student, aspects: { score: NEVER } }],
  acts: [{ id: 'a', act: 'takeBack', aspects: ['score'], to: student, at: START + MINUTE }],
  kept: [{ when: 'allDone', scope: 'all', of: '', since: START }],
  known: [],
  pauses: [{ from: START + HOUR, to: null }],
  granted: { s1: 2 },
  setTo: [],
};

/** Everything that the class's desk says of a quiz. */
async function views(id: string): Promise<unknown> {
  const live = await classDesk.quizCounts(id);
  const [tray, back, plan, told] = await Promise.all([
    classDesk.tray(id),
    classDesk.handBack(id),
    classDesk.planView(id, null),
    classDesk.actEffects(id, 's2', [{ act: 'oneMore', until: null }, { act: 'collect' }], { act: 'collect' }),
  ]);
  return JSON.parse(JSON.stringify({ live, tray, back, plan, told }));
}

describe('whatever field of a quiz changes, what was kept is what is worked out anew', () => {
  for (const settled of [true, false])
    for (const [part, fields] of [
      ['content', CONTENT],
      ['standing', STANDING],
    ] as const)
      for (const [field, value] of Object.entries(fields))
        test(`${field}, ${settled ? 'once work counts' : 'before any work counts'}`, async () => {
          const id = await quiz();
          if (settled) await sit(id, 's1', 'silt');
          await begin(id, 's2');
          later(2 * MINUTE);
          await views(id);
          await db.quizzes
            .where('id')
            .equals(id)
            .modify((one) => {
              Object.assign(one[part], { [field]: value });
              one.changeSeq += 1;
            });
          const kept = await views(id);
          // A quiz of another age is another quiz: nothing that is kept is of it.
          await db.quizzes
            .where('id')
            .equals(id)
            .modify((one) => {
              one.createdAt += 1;
            });
          assert.deepEqual(kept, await views(id));
        });
});
