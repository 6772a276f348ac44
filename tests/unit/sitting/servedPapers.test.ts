import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, test } from 'node:test';
import type { Attempt } from '@/core/quiz/work/attempt';
import { emptyContent, NEW_STANDING } from '@/core/quiz/newQuiz';
import { begin } from '@/core/sitting/decide';
import { sittingOf } from '@/core/sitting/packet';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import { serveStudents } from '@/core/sitting/serve';
import type { SittingStore } from '@/core/sitting/store';
import { db } from '@/store/records/db';
import { sittingStore } from '@/store/work/sittingStore';
import { putStudents } from '../support/school';
import { addressOf } from '../support/sat';
import { openAlways, paperOf, phraseQuestion, pickOneQuestion, quizOf, variant } from '../support/support';
import { windowOf } from '../support/shown';
import { sceneFor } from '@/core/reveal/scene';

/** The students' port over the browser's database, and over a store in memory: both serve alike. */

const QUESTIONS = [
  phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1', mustAnswer: 'any' }),
  pickOneQuestion({ levee: '1', gorge: '0' }, { id: 'q2' }),
];
const CONTENT = { ...emptyContent('Rivers'), order: ['q1', 'q2'] };

interface Served {
  readonly port: StudentPort;
  readonly at: PaperAddress;
  attempts(): Promise<readonly Attempt[]>;
}

/** One quiz and one student, in memory. */
function inMemory(): Served {
  const paper = paperOf(QUESTIONS);
  const quiz = {
    id: 'quiz',
    content: CONTENT,
    standing: { ...NEW_STANDING, opening: { from: 0, due: null, grace: 0, until: null }, live: 1 },
    firstHandInAt: 1,
  };
  const at = { quizId: 'quiz', ticket: 'ticket' };
  const student = { id: 's1', name: 'Ada Marsh' };
  const window = windowOf(quiz.standing.opening);
  const made: Attempt[] = [];
  const isHere = ({ quizId, ticket }: PaperAddress) => quizId === at.quizId && ticket === at.ticket;
  const store: SittingStore = {
    now: () => 1000,
    look: async () => {},
    together: async (_, make) => make(),
    visit: async (place) => (isHere(place) ? { quiz, student, window, made } : null),
    paper: async () => paper,
    scene: async () =>
      sceneFor({
        content: CONTENT,
        standing: quiz.standing,
        people: [],
        members: [],
        attempts: made,
        rulings: new Map(),
        visitor: student.id,
      }),
    everyonesWork: async () => ({
      attempts: made,
      windowOf: () => window,
      overrides: new Map(),
      rulings: new Map(),
    }),
    teachersWork: async () => ({ overrides: new Map(), rulings: new Map(), comments: new Map() }),
    async begin(place) {
      const decided = isHere(place) ? begin(sittingOf({ quiz, student, window }), made, 1000) : null;
      if (!decided || 'goOn' in decided) return;
      made.push({
        id: 'a1', quizId: 'quiz', studentId: 's1', number: decided.number, revision: 1, openedAt: 1000, savedAt: 1000, handedInAt: null,
        timeKnown: true, source: 'sat', answers: {}, seed: 7, saves: {}, hints: {}, seq: 1,
      }); // prettier-ignore
    },
    async change(place, attemptId, decide) {
      const index = made.findIndex(({ id }) => id === attemptId);
      const attempt = made[index];
      if (!attempt || !isHere(place)) return { ok: false, reason: 'unknown' };
      const decided = decide(paper, attempt, window, 1000);
      if (!decided.ok) return decided;
      made[index] = decided.attempt;
      return { ok: true, at: 1000 };
    },
    picture: async () => null,
  };
  return { port: serveStudents(store), at, attempts: async () => made };
}

async function inTheBrowser(): Promise<Served> {
  await putStudents([{ id: 's1', name: 'Ada Marsh' }]);
  const quizId = await quizOf(CONTENT, QUESTIONS);
  await openAlways(quizId);
  return {
    port: serveStudents(sittingStore),
    at: await addressOf(quizId, 's1'),
    attempts: () => db.attempts.toArray(),
  };
}

beforeEach(async () => {
  await db.delete();
  await db.open();
});

const say = (text: string) => ({ kind: 'phrase', text });

for (const [name, served] of [
  ['in memory', async () => inMemory()],
  ['in the browser', inTheBrowser],
] as const)
  describe(`served ${name}`, () => {
    async function begun() {
      const { port, at, attempts } = await served();
      const packet = await port.begin(at);
      assert.ok(packet.state === 'working');
      const { attemptId } = packet.working;
      const save = (page: string, number: number, text: string, questionId = 'q1') =>
        port.saveAnswer(at, { attemptId, questionId, answer: say(text), page, number });
      const stands = async () => {
        const now = await port.openPaper(at);
        return now.state === 'working' ? now.working.answers['q1'] : now.state;
      };
      return { port, at, attempts, attemptId, save, stands };
    }

    test('saves that come twice, late and out of order: the newest stands, each is told to be safe', async () => {
      const { save, stands } = await begun();
      const sent: [page: string, number: number, text: string][] = [
        ['a', 2, 'sil'], ['a', 1, 's'], ['a', 4, 'silt'], ['a', 4, 'silt'], ['a', 3, 'silx'], ['a', 1, 's'],
      ]; // prettier-ignore
      for (const [page, number, text] of sent) assert.equal((await save(page, number, text)).state, 'kept');
      assert.deepEqual(await stands(), say('silt'));
      await save('b', 1, 'mud');
      assert.deepEqual(await stands(), say('mud'), 'the page that was loaded later goes on from 1');
      await save('a', 4, 'silt');
      assert.deepEqual(await stands(), say('mud'), 'the other one does not come back');
    });

    test('beginning and handing in twice do each once', async () => {
      const { port, at, attempts, attemptId, save } = await begun();
      await port.begin(at);
      assert.equal((await attempts()).length, 1);
      assert.deepEqual(await port.handIn(at, attemptId), { state: 'refused', reason: 'missing' });
      await save('a', 1, 'silt');
      const [first, second] = [await port.handIn(at, attemptId), await port.handIn(at, attemptId)];
      assert.deepEqual([first.state, second.state], ['kept', 'kept']);
      assert.deepEqual(await save('a', 2, 'mud'), { state: 'refused', reason: 'handedIn' });
      const done = await port.openPaper(at);
      assert.ok(done.state === 'finished');
      assert.deepEqual(done.slip.score?.earned, { n: 1, d: 1 });
    });

    test('another ticket opens nothing and changes nothing', async () => {
      const { port, at, attempts, attemptId } = await begun();
      const other = { ...at, ticket: 'somebody-elses' };
      assert.deepEqual(await port.openPaper(other), { state: 'unknown' });
      assert.deepEqual(await port.begin(other), { state: 'unknown' });
      const answer = { attemptId, questionId: 'q1', answer: say('mud'), page: 'x', number: 1 };
      assert.deepEqual(await port.saveAnswer(other, answer), { state: 'refused', reason: 'unknown' });
      assert.deepEqual(await port.handIn(other, attemptId), { state: 'refused', reason: 'unknown' });
      assert.equal(await port.picture(other, 'x'.repeat(64)), null);
      const [attempt] = await attempts();
      assert.deepEqual([attempt?.answers, attempt?.handedInAt], [{}, null]);
    });

    test('what is no save is refused, whatever it holds', async () => {
      const { port, at, attemptId } = await begun();
      const good = { attemptId, questionId: 'q1', answer: say('silt'), page: 'a', number: 1 };
      const bad: object[] = [
        { answer: { kind: 'phrase' } }, { answer: 7 }, { number: 0 }, { number: 1.5 }, { page: '../x' }, { questionId: '' }, { more: 1 },
      ]; // prettier-ignore
      for (const more of bad)
        assert.deepEqual(await port.saveAnswer(at, { ...good, ...more }), {
          state: 'refused',
          reason: 'unknown',
        });
    });
  });
