import { kindOf, type Answer, type Question } from '../kinds';
import { below, chanceOfRight, normal, partSeed, randomFrom, type Seed } from '../figures/random';

/** What a made-up class is made from; the seed decides everything, the same on every machine. */
export interface ClassPlan {
  readonly seed: number;
  /** 1 … 100 000. */
  readonly students: number;
  /** Shares of students, 0 … 1. */
  readonly neverStart?: number;
  readonly late?: number;
  readonly repeat?: number;
}

/** One made-up attempt. */
export interface MadeUpAttempt {
  readonly student: number;
  /** 1 for the first. */
  readonly number: number;
  /** Minutes after the due time; 0 and below in time. */
  readonly minutesLate: number;
  readonly answers: Readonly<Record<string, Answer>>;
}

/** How a question behaves: who is likely to know it, and how well it tells apart who does. */
interface Difficulty {
  readonly difficulty: number;
  readonly discrimination: number;
}

const MOST = 100_000;

/** A text as a number of 32 bits: FNV-1a (Fowler, Noll and Vo 1991), over its UTF-16 units. */
function hashOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return hash | 0;
}

/** Difficulty and discrimination of a question, from the seed and its id alone. */
function difficultyOf({ id }: Question, seed: number): Difficulty {
  const random = randomFrom(partSeed(partSeed(seed, -1), hashOf(id)));
  return { difficulty: normal(random) * 0.9, discrimination: 0.6 + random() * 1.2 };
}

/** What one student answers, to each question whatever stands beside it: asked for alone, the answer is the same. */
function answersOf(
  questions: readonly Question[],
  hard: readonly Difficulty[],
  ability: number,
  seed: Seed,
): Record<string, Answer> {
  const answers: Record<string, Answer> = {};
  questions.forEach((question, index) => {
    const { difficulty, discrimination } = hard[index] as Difficulty;
    const random = randomFrom(partSeed(seed, hashOf(question.id)));
    const right = random() < chanceOfRight(ability, difficulty, discrimination);
    const answer = kindOf(question).makeUp(question, random, right ? 'right' : 'wrong');
    if (answer) answers[question.id] = answer;
  });
  return answers;
}

/**
 * Students with an ability, questions with a difficulty; right answers by a two-parameter logistic model, wrong ones as
 * students give them. Some are late, some repeat and know a little more then, some never start. Each student depends on
 * the seed and their own number alone, each answer on these and its question. Throws RangeError for numbers of students out of range.
 */
export function* madeUpClass(questions: readonly Question[], plan: ClassPlan): Generator<MadeUpAttempt> {
  const { seed, students, neverStart = 0.04, late = 0.08, repeat = 0.1 } = plan;
  if (!Number.isInteger(students) || students < 1 || students > MOST)
    throw new RangeError(`A made-up class has 1 to ${MOST} students, not ${students}`);
  const hard = questions.map((question) => difficultyOf(question, seed));
  for (let student = 0; student < students; student++) {
    const own = partSeed(seed, student);
    const random = randomFrom(own);
    const ability = normal(random);
    if (random() < neverStart) continue;
    const minutesLate = random() < late ? 1 + below(random, 4000) : -below(random, 2000);
    yield { student, number: 1, minutesLate, answers: answersOf(questions, hard, ability, partSeed(own, 1)) };
    if (random() >= repeat) continue;
    const again = answersOf(questions, hard, ability + 0.5, partSeed(own, 2));
    yield { student, number: 2, minutesLate: minutesLate + 30, answers: again };
  }
}
