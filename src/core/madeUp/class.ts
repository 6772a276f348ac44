import { kindOf, type Answer, type Question } from '../kinds';
import { below, chanceOfRight, normal, partSeed, randomFrom, type Random } from '../figures/random';

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

/** Difficulty and discrimination of each question, from the seed and its place alone. */
function difficulties(questions: readonly Question[], seed: number): Difficulty[] {
  return questions.map((_, index) => {
    const random = randomFrom(partSeed(seed, -1 - index));
    return { difficulty: normal(random) * 0.9, discrimination: 0.6 + random() * 1.2 };
  });
}

function answersOf(
  questions: readonly Question[],
  hard: readonly Difficulty[],
  ability: number,
  random: Random,
): Record<string, Answer> {
  const answers: Record<string, Answer> = {};
  questions.forEach((question, index) => {
    const { difficulty, discrimination } = hard[index] as Difficulty;
    const right = random() < chanceOfRight(ability, difficulty, discrimination);
    const answer = kindOf(question).makeUp(question, random, right ? 'right' : 'wrong');
    if (answer) answers[question.id] = answer;
  });
  return answers;
}

/**
 * Students with an ability, questions with a difficulty; right answers by a two-parameter logistic model, wrong ones as
 * students give them. Some are late, some repeat and know a little more then, some never start. Each student depends on
 * the seed and their own number alone. Throws RangeError for numbers of students out of range.
 */
export function* madeUpClass(questions: readonly Question[], plan: ClassPlan): Generator<MadeUpAttempt> {
  const { seed, students, neverStart = 0.04, late = 0.08, repeat = 0.1 } = plan;
  if (!Number.isInteger(students) || students < 1 || students > MOST)
    throw new RangeError(`A made-up class has 1 to ${MOST} students, not ${students}`);
  const hard = difficulties(questions, seed);
  for (let student = 0; student < students; student++) {
    const random = randomFrom(partSeed(seed, student));
    const ability = normal(random);
    if (random() < neverStart) continue;
    const minutesLate = random() < late ? 1 + below(random, 4000) : -below(random, 2000);
    yield { student, number: 1, minutesLate, answers: answersOf(questions, hard, ability, random) };
    if (random() >= repeat) continue;
    const again = answersOf(questions, hard, ability + 0.5, random);
    yield { student, number: 2, minutesLate: minutesLate + 30, answers: again };
  }
}
