import type { ReactNode } from 'react';
import type { Answer, Question } from '@/core/kinds';

/** How a kind of question is written. */
export interface WriteFaces<Q extends Question> {
  /** The answers being keyed, in place. */
  readonly Key: (props: {
    readonly question: Q;
    readonly onChange: (question: Q) => void;
    /** Students have seen the question: what is deleted is kept for their answers. */
    readonly seen: boolean;
    /** Language tag of the answers. */
    readonly language: string;
  }) => ReactNode;
  /** The question as students read it, with its key marked. */
  readonly Folded: (props: { readonly question: Q }) => ReactNode;
  /** The rules that the kind adds to the sentence under the question. */
  readonly Rules: (props: {
    readonly question: Q;
    readonly onChange: (question: Q) => void;
    readonly language: string;
  }) => ReactNode;
  /** Where the teacher gives a trial answer. */
  readonly Try: (props: {
    readonly question: Q;
    readonly value: Answer | null;
    readonly onChange: (answer: Answer | null) => void;
    readonly onKeep: () => void;
  }) => ReactNode;
}
