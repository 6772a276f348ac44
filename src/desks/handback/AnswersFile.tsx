import { Download } from '@/ui/widgets/icons';
import { useRef } from 'react';
import { Failed } from '@/ui/widgets/press/Failed';
import { usePress } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { saveAnswers, type AnswersForm } from '@/ui/teacher/saveAnswers';
import type { Circle } from '@/workers/classDesk';

/** Every answer as a file, to look through elsewhere; points that are changed in it come back as own scores. */
export function AnswersFile({
  disabled,
  only,
}: {
  readonly disabled: boolean;
  readonly only: Circle | null;
}) {
  const { quiz } = useQuiz();
  const form = useRef<AnswersForm>('csv');
  const save = usePress(() => saveAnswers(quiz.id, quiz.content.title, form.current, only ?? undefined));
  return (
    <section aria-labelledby="answers-file" className="mt-7">
      <h2 id="answers-file" className="text-[15px]">
        {only ? `Answers of ${only.name} as a file` : 'All answers as a file'}
      </h2>
      <p className="mt-1 text-[14px] text-soft">
        Every attempt with its answers, points and the rule that decided. If you import the file again in the
        Tray, points you changed become your own scores for those answers.
      </p>
      <div className="mt-3 flex flex-wrap gap-x-3 gap-y-2">
        {(['csv', 'xlsx'] as const).map((one) => (
          <button
            key={one}
            type="button"
            className="btn btn-sm btn-outline"
            disabled={disabled || save.busy}
            onClick={() => {
              form.current = one;
              save.start();
            }}
          >
            <Download size={15} aria-hidden /> {one === 'csv' ? 'Answers as CSV' : 'Answers as a spreadsheet'}
          </button>
        ))}
      </div>
      {save.error && <Failed className="mt-3" text={save.error} onAgain={save.start} />}
    </section>
  );
}
