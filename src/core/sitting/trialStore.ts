import { at as once, NEVER, planOf, waitsFor } from '../quiz/plan/plan';
import type { PaperPacket } from '../reveal/packets';
import type { Attempt } from '../quiz/work/attempt';
import { NEW_STANDING } from '../quiz/newQuiz';
import type { Paper, QuizContent } from '../quiz/quiz';
import { windowOfQuiz } from '../quiz/times/window';
import { sameForAll } from '../quiz/times/windows';
import { sceneFor } from '../reveal/scene';
import { toCome } from '../reveal/slip';
import { whatIsShown, type Scene } from '../reveal/whatIsShown';
import { begin, begun } from './decide';
import type { SittingStore, Visit } from './store';

/** A quiz as it is written now, to be tried; and what of the machine that takes. */
export interface Tried {
  readonly quizId: string;
  readonly content: QuizContent;
  readonly paper: Paper;
  readonly now: () => number;
  readonly newId: () => string;
  readonly newSeed: () => string;
  readonly picture: SittingStore['picture'];
}

/** Everything at once: what comes back is what is tried. */
const ALL_AT_ONCE = planOf(waitsFor(once('handedIn')), { classDid: NEVER });

/** A quiz that one student alone sits. */
const sceneOf = (
  { content, standing }: Pick<Visit['quiz'], 'content' | 'standing'>,
  visitor: string,
  attempts: readonly Attempt[],
): Scene =>
  sceneFor({
    content,
    standing,
    people: [],
    members: [],
    attempts,
    rulings: new Map(),
    visitor,
  });

/** What a student is told before handing in: when results come by the quiz's own plan, though the dry run shows them at once. */
export function asPlanned(packet: PaperPacket, content: QuizContent, at: number): PaperPacket {
  if (packet.state === 'unknown' || packet.state === 'finished') return packet;
  const scene = sceneOf({ content, standing: NEW_STANDING }, '', []);
  return { ...packet, cover: { ...packet.cover, plan: toCome(whatIsShown(scene, '', at)) } };
}

/**
 * Where a dry run lies: one student’s attempts at a quiz as it is written now, open from the first look on, in memory
 * alone. What students will see is decided by the same code as theirs; only the plan shows everything at hand-in.
 */
export function trialStore({ quizId, content, paper, now, newId, newSeed, picture }: Tried): SittingStore {
  const opening = { from: now(), due: null, grace: 0, until: null };
  const window = sameForAll(windowOfQuiz(opening, content));
  const student = { id: newId(), name: 'A student' };
  const quiz: Visit['quiz'] = {
    id: quizId,
    content: { ...content, plan: ALL_AT_ONCE },
    standing: { ...NEW_STANDING, opening, live: 1 },
    firstHandInAt: null,
  };
  let made: readonly Attempt[] = [];
  const fresh = (number: number): Attempt =>
    begun(
      { id: newId(), quizId, studentId: student.id, number, revision: 1, seed: newSeed(), seq: 0 },
      now(),
      window.timeLimit,
    );
  return {
    now,
    look: () => Promise.resolve(),
    picture,
    visit: (at) => Promise.resolve(at.quizId === quizId ? { quiz, student, window, made } : null),
    paper: () => Promise.resolve(paper),
    scene: () => Promise.resolve(sceneOf(quiz, student.id, made)),
    everyonesWork: () =>
      Promise.resolve({ attempts: made, windowOf: () => window, overrides: new Map(), rulings: new Map() }),
    together: (_, make) => make(),
    teachersWork: () => Promise.resolve({ overrides: new Map(), rulings: new Map(), comments: new Map() }),
    begin() {
      const decided = begin({ window, granted: 0 }, made, now());
      if (decided && 'number' in decided) made = [...made, fresh(decided.number)];
      return Promise.resolve();
    },
    change(_, attemptId, decide) {
      const attempt = made.find(({ id }) => id === attemptId);
      if (!attempt) return Promise.resolve({ ok: false, reason: 'unknown' });
      const at = now();
      const decided = decide(paper, attempt, window, at);
      if (!decided.ok) return Promise.resolve({ ok: false, reason: decided.reason });
      made = made.map((one) => (one.id === attemptId ? decided.attempt : one));
      return Promise.resolve({ ok: true, at });
    },
  };
}
