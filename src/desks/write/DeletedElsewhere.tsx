import { useState } from 'react';
import type { Placed } from '@/core/quiz/placement';
import { plainText } from '@/core/content/plainText';
import { restoreQuestion } from '@/store/quiz/edits';
import { usePress } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { keepUnsaved, reportSaving, unsavedWork } from '@/ui/editing/saving';

interface Props {
  /** The question in hand. */
  readonly hand: string | null;
  /** False where the quiz has it no more. */
  readonly there: boolean;
  readonly onRestored: (id: string) => void;
}

/** The question in hand was deleted in another tab while it was written here: what was typed is still there to keep. */
export function DeletedElsewhere({ hand, there, onRestored }: Props) {
  const { quiz } = useQuiz();
  const [dropped, setDropped] = useState<string | null>(null);
  const name = `question:${hand ?? ''}`;
  const typed = unsavedWork().get(name) as Placed | undefined;
  const settle = () => {
    keepUnsaved(name, null);
    reportSaving(name, 'saved');
  };
  const restore = usePress(async () => {
    if (!typed) return;
    await restoreQuestion(quiz.id, typed, { label: 'Restore a question', field: '' });
    settle();
    onRestored(typed.question.id);
  });
  if (there || !typed || dropped === hand) return null;
  return (
    <div role="alert" className="mx-9 my-3 border-l-2 border-saffron bg-wash px-4 py-3">
      <p className="font-semibold">
        The question you were writing was deleted in another tab. Nothing is lost: restore it, or discard it.
      </p>
      <p className="mt-1">{plainText(typed.question.text) || 'Question without text'}</p>
      {restore.error && <p className="mt-2">{restore.error}</p>}
      <div className="mt-2 flex gap-3">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={restore.busy}
          onClick={restore.start}
        >
          Restore it as written here
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline"
          onClick={() => {
            settle();
            setDropped(hand);
          }}
        >
          Discard it
        </button>
      </div>
    </div>
  );
}
