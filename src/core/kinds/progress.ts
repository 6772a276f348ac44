import type { Answer, Face, KindName } from '.';
import { progress as boxes } from './boxes/progress';
import { progress as gaps } from './gaps/progress';
import { progress as match } from './match/progress';
import { progress as note } from './note/progress';
import { progress as order } from './order/progress';
import { progress as rows } from './rows/progress';
import { wholeProgress, type Progress } from './shared/progress';
import { progress as spot } from './spot/progress';

export type { Progress } from './shared/progress';

type FaceOf<Name extends KindName> = Extract<Face, { kind: Name }>;
type AnswerOf<Name extends KindName> = Extract<Answer, { kind: Name }>;

/**
 * How far each kind of question is answered, for all kinds that are answered in parts. A list of its own: the student's
 * page carries it, and nothing of the kinds' keys.
 */
const IN_PARTS: { readonly [Name in KindName]?: (face: FaceOf<Name>, answer: AnswerOf<Name> | null) => Progress } = {
  boxes, gaps, match, note, order, rows, spot,
}; // prettier-ignore

/** How far a question is answered; an answer of another kind, as a file may bring one, is there and that is all. */
export function progressOfAnswer(face: Face, answer: Answer | null): Progress {
  const own = IN_PARTS[face.kind] as ((face: Face, answer: Answer | null) => Progress) | undefined;
  return own && (answer === null || answer.kind === face.kind)
    ? own(face, answer)
    : wholeProgress(face, answer);
}

/** Whether an answer has parts that can each be there or not. */
export const hasParts = (face: Pick<Face, 'kind'>): boolean => Object.hasOwn(IN_PARTS, face.kind);

/** Whether a student is asked for anything: notes ask for nothing. */
export const asksFor = (face: Pick<Face, 'kind'>): boolean => face.kind !== 'note';
