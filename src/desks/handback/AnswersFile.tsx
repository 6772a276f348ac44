import { Download } from 'lucide-react';
import { useState } from 'react';
import { downloadBytes, fileName } from '@/ui/download';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';

const TYPES = {
  csv: 'text/csv;charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

/** Every answer as a file, to look through elsewhere; points that are changed in it come back as own scores. */
export function AnswersFile({ disabled }: { readonly disabled: boolean }) {
  const { quiz } = useQuiz();
  const [busy, setBusy] = useState(false);
  const save = async (form: keyof typeof TYPES) => {
    setBusy(true);
    try {
      const bytes = await classWorker().answersFile(quiz.id, form);
      downloadBytes(`${fileName(quiz.content.title)}-answers.${form}`, bytes, TYPES[form]);
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
      <div className="mt-3 flex gap-3">
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
