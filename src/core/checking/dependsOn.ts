import type { QuizContent, QuizStanding } from '../quiz/quiz';
import { windowOfQuiz } from '../quiz/times/window';

/**
 * What is worked out of a quiz is kept for as long as nothing it depends on has changed. What that is stands here and nowhere
 * else. Each function gives a text: the same one means that nothing has changed.
 */

/** Of a quiz's head what anything is worked out from. */
export interface Depended {
  readonly content: QuizContent;
  readonly standing: QuizStanding;
  /** Grows with every edit. */
  readonly changeSeq: number;
  /** When somebody's work first counted; null: edits hold at once. */
  readonly firstHandInAt: number | null;
}

/** When and how each student may sit. */
const times = ({ content, standing: { opening, windows, pauses, granted } }: Depended) => [
  windowOfQuiz(opening, content),
  windows,
  pauses,
  granted,
];

/** The key that counts: until somebody's work does, whatever is written holds at once. */
const key = ({ standing: { live }, firstHandInAt, changeSeq }: Depended) =>
  live !== null && firstHandInAt !== null ? [live] : [live, changeSeq];

const marks = (quiz: Depended) => [key(quiz), times(quiz), quiz.standing.setTo, quiz.content.unfinished];

const scene = (quiz: Depended) => {
  const { live: _, ...acts } = quiz.standing;
  const { plan, zone, unfinished, missing } = quiz.content;
  return [times(quiz), acts, plan, zone, unfinished, missing];
};

/** What everyone's marks depend on, besides attempts, own scores, rulings and the lists of classes. */
export const marksDependOn = (quiz: Depended): string => JSON.stringify(marks(quiz));

/** What decides who is shown what, besides the marks. */
export const sceneDependsOn = (quiz: Depended): string => JSON.stringify(scene(quiz));

/** What a view of everyone's work depends on, besides that work. */
export const viewsDependOn = (quiz: Depended): string =>
  JSON.stringify([marks(quiz), scene(quiz), quiz.content.strict]);
