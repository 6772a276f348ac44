import { Download } from 'lucide-react';
import { useState } from 'react';
import { useQuiz } from '@/ui/quizContext';
import { saveAnswers, type AnswersForm } from '@/ui/saveAnswers';

/** Every answer as a file, to look through elsewhere; points that are changed in it come back as own scores. */
export function AnswersFile({ disabled }: { readonly disabled: boolean }) {
  const { quiz } = useQuiz();
  const [busy, setBusy] = useState(false);
  const save = async (form: AnswersForm) => {
    setBusy(true);
    try {
      await saveAnswers(quiz.id, quiz.content.title, form);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-labelledby="answers-file" className="mt-7">
      <h2 id="answers-file" className="text-[15px]">
        All answers as a file
      </h2>
      <p className="mt-1 text-[14px] text-soft">
        Every attempt with its answers, points and the rule that decided. Taken in again at the Tray, points
        that you have changed in it become your own scores.
      </p>
      <div className="mt-3 flex flex-wrap gap-x-3 gap-y-2">
        {(['csv', 'xlsx'] as const).map((form) => (
          <button
            key={form}
            type="button"
            className="btn btn-sm btn-outline"
            disabled={disabled || busy}
            onClick={() => void save(form)}
          >
            <Download size={15} aria-hidden />{' '}
            {form === 'csv' ? 'Answers as CSV' : 'Answers as a spreadsheet'}
          </button>
        ))}
      </div>
    </section>
  );
}
