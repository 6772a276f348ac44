import { shownText } from '../content/shownText';
import type { ShownAnswer } from '../content/shownAnswer';
import { shownLine } from '../content/shownLine';
import { equal } from '../figures/fraction';
import type { MarkingContext } from '../marks/mark';
import { note as line, type TraceLine } from '../marks/trace';
import { z } from '../zod';
import { boxes } from './boxes';
import { gaps } from './gaps';
import type { GivenPart } from './givenPart';
import { notKeyed, type Accepted, type Keyed, type Kind } from './kind';
import { match } from './match';
import { note } from './note';
import { number } from './number';
import { order } from './order';
import { phrase } from './phrase';
import { pickOne } from './pickOne';
import { pickSeveral } from './pickSeveral';
import { rows } from './rows';
import { UnreadAnswer } from './shared/unread';
import { spot } from './spot';
import { trueFalse } from './trueFalse';
import { written } from './written';

/** Every kind of question, in the order in which they are offered: the one list. */
export const KINDS = [
  pickOne, pickSeveral, trueFalse, phrase, number, gaps, match, order, boxes, rows, spot, written, note,
] as const; // prettier-ignore

type AnyKind = (typeof KINDS)[number];
export type Question = z.infer<AnyKind['question']>;
export type Answer = z.infer<AnyKind['answer']> | UnreadAnswer;
export type Face = z.infer<AnyKind['face']>;
export type KindName = Question['kind'];
export const KIND_NAMES: readonly KindName[] = KINDS.map(({ name }) => name);

/** One schema of all, told apart by their kind. */
const anyOf = <One>(schemas: readonly z.ZodType<One>[]): z.ZodType<One> =>
  z.discriminatedUnion('kind', schemas as never) as unknown as z.ZodType<One>;

export const Question = anyOf<Question>(KINDS.map(({ question }): z.ZodType<Question> => question));
export const Answer = anyOf<Answer>([...KINDS.map(({ answer }): z.ZodType<Answer> => answer), UnreadAnswer]);
export const Face = anyOf<Face>(KINDS.map(({ face }): z.ZodType<Face> => face));

const BY_NAME = new Map<string, unknown>(KINDS.map((kind) => [kind.name, kind]));

/** The kind of a question, for calls with that same question: the one place where the union is opened. */
export function kindOf(question: { kind: KindName }): Kind<Question, Answer, Face> {
  return BY_NAME.get(question.kind) as Kind<Question, Answer, Face>;
}

/** True where an answer has the shape that this kind of question is answered in. */
export const isAnswerTo = (question: Question, answer: Answer): boolean => answer.kind === question.kind;

/** An answer as a cell of a file holds it, also one that its question cannot read. */
export function answerText(question: Question, answer: Answer): string {
  if (isAnswerTo(question, answer)) return kindOf(question).answerText(question, answer);
  return 'text' in answer ? shownText(answer.text) : 'an answer of another kind';
}

/** An answer as people are shown it, also one that its question cannot read. */
export const shownAnswer = (question: Question, answer: Answer): ShownAnswer =>
  isAnswerTo(question, answer)
    ? kindOf(question).shown(question, answer)
    : { form: 'text', text: answerText(question, answer) };

/** An answer as people are shown it who may see what is right, too. */
export const shownBesideRight = (question: Question, answer: Answer): ShownAnswer =>
  isAnswerTo(question, answer)
    ? kindOf(question).shownBesideRight(question, answer)
    : shownAnswer(question, answer);

/** An answer in one line as the teacher reads it. */
export function calledAnswer(question: Question, answer: Answer): string {
  const own = isAnswerTo(question, answer) ? kindOf(question).called(question, answer) : null;
  return own ?? shownLine(shownAnswer(question, answer), question.formulas);
}

/** How an answer's mark came about: what it was compared as, which rule matched, why not the others. */
export function explainAnswer(
  question: Question,
  answer: Answer | null,
  context: MarkingContext,
): TraceLine[] {
  if (answer === null || isAnswerTo(question, answer))
    return kindOf(question).explain(question, answer, context);
  return [line('answer', 'unread', { text: answerText(question, answer) }), line('rule', 'waits')];
}

const LONGEST_UNREAD = 10_000;

/**
 * The answer that a cell of a file holds. What cannot be read is kept as it is, to be marked by the teacher, and
 * `problem` says why; a cell is never a blank because it could not be read.
 */
export function readCell(
  question: Question,
  text: string,
  context: MarkingContext,
): { readonly answer: Answer | null; readonly problem: string | null } {
  const read = kindOf(question).readAnswer(question, text, context);
  if (read.ok) return { answer: read.answer, problem: null };
  const kept = text.trim().slice(0, LONGEST_UNREAD);
  return { answer: kept === '' ? null : { kind: 'unread', text: kept }, problem: read.problem };
}

/**
 * The question with this answer in its key, or why that cannot be. The answer then earns just the credit that it was
 * keyed with: where something else in the key would still decide, it is not keyed.
 */
export function keyAnswer(
  question: Question,
  answer: Answer,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<Question> {
  if (!isAnswerTo(question, answer)) return notKeyed('This cannot be read as an answer to this question');
  const accepted = kindOf(question).accept(question, answer, as, newId, context);
  if (!accepted.ok) return accepted;
  const { keyCredit } = kindOf(question).mark(accepted.question, answer, context);
  const bounded =
    as.credit.n < 0 && !(question.negativeCredit ?? context.negativeCredit ?? false)
      ? { n: 0, d: 1 }
      : as.credit;
  return equal(keyCredit, bounded)
    ? accepted
    : notKeyed('Something else in the key would still decide about this answer: change the key in Write');
}

/** The question with what was given to one of its parts keyed for everyone. */
export const keyPart = (
  question: Question,
  given: GivenPart,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<Question> => kindOf(question).acceptPart(question, given, as, newId, context);
