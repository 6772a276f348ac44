import { createContext } from 'react';
import type { KindName } from '@/core/kinds';
import type { QuizContent } from '@/core/quiz/quiz';
import type { QuestionRecord } from '@/store/records/db';
import type { Draft } from '@/ui/editing/useDraft';
import type { HandDraft, MarginState } from './margin/useMarginState';

/** What can be done with a question; the same functions as long as the paper is open. */
export interface QuestionActs {
  readonly take: (id: string) => void;
  readonly moveBy: (id: string, by: -1 | 1) => void;
  /** To a place in the order, the first being 0. */
  readonly moveTo: (id: string, to: number) => void;
  readonly remove: (id: string) => void;
  readonly duplicate: (id: string) => void;
  /** One more question of a kind, right behind this one. */
  readonly addAfter: (id: string, kind: KindName) => void;
  /** Lets a page begin with what comes after this one. */
  readonly breakAfter: (id: string) => void;
  /** What a question or section is called now, as a sentence begins: *Question 3*. */
  readonly called: (id: string) => string;
}

/** The paper as it is now: read by each question for itself, so that the list need not be drawn again with every key. */
interface PaperNow {
  readonly byId: ReadonlyMap<string, QuestionRecord>;
  readonly content: QuizContent;
  /** The number of each question; notes have none. */
  readonly numbers: ReadonlyMap<string, number>;
  /** What each is called: *question 3*, or *note 1*. */
  readonly names: ReadonlyMap<string, string>;
  readonly margin: MarginState;
  readonly sections: Draft<QuizContent['sections']>;
  readonly draft: HandDraft;
}
export const PaperNow = createContext<PaperNow | null>(null);
