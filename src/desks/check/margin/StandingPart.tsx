import type { Standing } from '@/core/content/questionBase';
import { asBegun, calledOf } from '@/core/quiz/numbers';
import { saveQuestion } from '@/store/quiz/edits';
import { keyField } from '@/store/records/steps';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { STANDING_WORDS } from '@/ui/words/standingWords';

const STANDINGS = Object.keys(STANDING_WORDS) as Standing[];

/** All changes of how a question counts are one in the list of what waits. */
const STEP = { part: '#standing', given: '' };

/** How a question counts, changed in the draft: what that does to everyone is seen before it is applied. */
export function StandingPart({ questionId }: { readonly questionId: string }) {
  const { quiz, questions } = useQuiz();
  const record = questions.find(({ id }) => id === questionId);
  if (!record) return <p className="mt-2 text-[14px]">This question is not in the draft any more.</p>;
  const { question, placement } = record;
  const called = asBegun(
    calledOf(
      questions.map((one) => one.question),
      questionId,
    ),
  );
  const change = (standing: Standing) =>
    run(async () => {
      const saved = await saveQuestion(
        quiz.id,
        { question, placement: { ...placement, standing } },
        record.rev,
        { label: `${called} ${STANDING_WORDS[standing]}`, field: keyField(questionId, STEP) },
      );
      if (!saved.ok) notify('The question was changed in another tab just now: look again');
    });
  return (
    <p className="mt-2 text-[14px]">
      <label>
        This question{' '}
        <select
          className="sentence-part"
          aria-label="How this question counts"
          value={placement.standing}
          onChange={(event) => change(event.target.value as Standing)}
        >
          {STANDINGS.map((standing) => (
            <option key={standing} value={standing}>
              {STANDING_WORDS[standing]}
            </option>
          ))}
        </select>
      </label>
    </p>
  );
}
