import type { ReactNode } from 'react';
import type { Answer, Face, Question } from '@/core/kinds';
import type { OptionOrder } from '@/core/kinds/kind';
import type { MarkingContext } from '@/core/marks/mark';

/** How a kind of question is answered: what is shown, what is given so far, and where a change goes. */
export interface SitProps {
  readonly face: Face;
  readonly answer: Answer | null;
  readonly labelledBy: string;
  /** The language of the answer, such as `en`. */
  readonly language: string;
  /** Whether what is written goes to be marked: false where it brings no points, and where nobody sits. */
  readonly marked: boolean;
  readonly onAnswer: (answer: Answer | null) => void;
}

/** A rule that holds, in a few words. */
export interface RuleWords {
  readonly words: string;
  /** True where it is not what is usual. */
  readonly own: boolean;
}

interface Editing<Q extends Question> {
  readonly question: Q;
  readonly onChange: (question: Q) => void;
  /** The quiz's language and decimal sign. */
  readonly context: MarkingContext;
  /** How the quiz has the options of its questions. */
  readonly optionOrder: OptionOrder;
  /** False where the question carries no points: how an answer is marked is not asked. */
  readonly marked: boolean;
}

/** How a teacher meets a kind of question. What a student answers with stands apart, in the kind's `Sit.tsx`. */
export interface Faces<Q extends Question> {
  /** The answers being keyed, in place. */
  readonly Write: (
    props: Editing<Q> & {
      /** Students have seen the question: what is deleted is kept for their answers. */
      readonly seen: boolean;
    },
  ) => ReactNode;
  /** The question as students read it, with its key marked. */
  readonly Folded: (props: {
    readonly question: Q;
    readonly context: MarkingContext;
    /** False where the question carries no points. */
    readonly marked: boolean;
  }) => ReactNode;
  /** The rules that the kind adds to the sentence under the question. */
  readonly Rules: (props: Editing<Q>) => ReactNode;
  /** The same rules in a few words, for the line in which they are folded. */
  readonly ruled: (
    question: Q,
    how: { readonly optionOrder: OptionOrder; readonly marked: boolean },
  ) => readonly RuleWords[];
  /** Where the teacher gives a trial answer. */
  readonly Try: (props: {
    readonly question: Q;
    /** How its answers are read. */
    readonly context: MarkingContext;
    readonly value: Answer | null;
    readonly onChange: (answer: Answer | null) => void;
    readonly onKeep: () => void;
  }) => ReactNode;
  /** True where a trial answer is typed, and Enter keeps it. */
  readonly typed: boolean;
}
