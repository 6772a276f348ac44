import { useCallback, useEffect, useRef, useState } from 'react';
import type { Answer } from '@/core/kinds';
import { same } from '@/core/figures/deepEqual';
import { keepTypedAnswer } from '@/store/work/typedPapers';
import { run } from '@/ui/widgets/press/press';

/** The hand rests this long, in ms, before what was typed is kept. */
const REST = 300;

interface Typed {
  readonly quizId: string;
  readonly attemptId: string;
  readonly questionId: string;
  /** The answer as it is stored. */
  readonly stored: Answer | null;
}

/** An answer that the teacher types in from paper: shown as typed at once, and kept when the hand rests or turns away. */
export function useTypedAnswer({ quizId, attemptId, questionId, stored }: Typed) {
  const [typed, setTyped] = useState<{ readonly answer: Answer | null } | null>(null);
  const waiting = useRef<{ answer: Answer | null } | null>(null);
  const keep = useCallback(() => {
    const now = waiting.current;
    waiting.current = null;
    if (now) run(() => keepTypedAnswer(quizId, attemptId, questionId, now.answer));
  }, [quizId, attemptId, questionId]);
  useEffect(() => {
    if (!typed) return undefined;
    // Once it is stored, the store has the word again: an undo shows at once.
    if (same(typed.answer, stored) && !waiting.current) {
      setTyped(null);
      return undefined;
    }
    const timer = setTimeout(keep, REST);
    return () => clearTimeout(timer);
  }, [typed, stored, keep]);
  useEffect(() => {
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('pagehide', keep);
      keep();
    };
  }, [keep]);
  const change = (answer: Answer | null) => {
    waiting.current = { answer };
    setTyped({ answer });
  };
  return { answer: typed ? typed.answer : stored, change };
}
