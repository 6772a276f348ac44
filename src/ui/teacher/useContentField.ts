import { useCallback } from 'react';
import { same } from '@/core/figures/deepEqual';
import type { QuizContent } from '@/core/quiz/quiz';
import { saveContent } from '@/store/quiz/edits';
import { useQuiz } from './quizContext';
import { useDraft, type Draft } from '../editing/useDraft';

interface Token<T> {
  readonly seq: number;
  readonly value: T;
}

const reached = (stored: Token<unknown>, saved: Token<unknown>): boolean =>
  stored.seq >= saved.seq || same(stored.value, saved.value);

/** One field of the quiz's content being edited; other fields may change meanwhile without any harm. */
export function useContentField<F extends keyof QuizContent>(field: F, label: string): Draft<QuizContent[F]> {
  const { quiz } = useQuiz();
  const { id } = quiz;
  const save = useCallback(
    async (value: QuizContent[F], base: Token<QuizContent[F]>) => {
      const saved = await saveContent(
        id,
        { [field]: value },
        { [field]: base.value },
        { label, field: `content:${field}` },
      );
      return saved.ok
        ? { ok: true as const, token: { seq: saved.rev, value } }
        : {
            ok: false as const,
            theirs: { value: saved.theirs[field], token: { seq: 0, value: saved.theirs[field] } },
          };
    },
    [id, field, label],
  );
  return useDraft({
    name: `content:${field}`,
    stored: quiz.content[field],
    token: { seq: quiz.changeSeq, value: quiz.content[field] },
    reached,
    save,
  });
}
