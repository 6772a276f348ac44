import { useState } from 'react';
import type { QuizContent } from '@/core/quiz/quiz';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useContentField } from '@/ui/teacher/useContentField';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { workEffectWords } from '@/ui/words/workEffectWords';
import { classWorker } from '@/workers/clients';

type Rule = QuizContent['unfinished'];

const RULES: Readonly<Record<Rule, string>> = {
  taken: 'is collected as it is',
  notCounted: 'counts as not handed in',
};

interface AskProps {
  readonly rule: Rule;
  readonly onGo: () => void;
  readonly onClose: () => void;
}

/** What another rule would do to scores, before it holds. */
function Ask({ rule, onGo, onClose }: AskProps) {
  const { quiz } = useQuiz();
  const { value } = useFreshQuery(() => classWorker().unfinishedEffect(quiz.id, rule), [quiz.id, rule]);
  return (
    <Dialog title="Change the rule for unfinished work?" onClose={onClose}>
      <p>Work that is not handed in when the quiz closes {RULES[rule]}.</p>
      <p role="status" className="mt-3 font-semibold">
        {workEffectWords(value)}
      </p>
      <div className="mt-6 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-ghost" data-first-focus onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={value === null} onClick={onGo}>
          Change the rule
        </button>
      </div>
    </Dialog>
  );
}

/** What becomes of work that was not handed in in time. */
export function UnfinishedSentence() {
  const { quiz } = useQuiz();
  const { value, edit } = useContentField('unfinished', 'Change the rule for unfinished work');
  const [asked, setAsked] = useState<Rule | null>(null);
  return (
    <>
      Work that is not handed in when the quiz closes{' '}
      <select
        className="sentence-part"
        aria-label="Work that is not handed in when the quiz closes"
        value={asked ?? value}
        onChange={({ target }) => {
          const rule = target.value as Rule;
          // Once there are scores, what it does to them is seen first.
          if (quiz.firstHandInAt === null) edit(rule);
          else setAsked(rule);
        }}
      >
        {Object.entries(RULES).map(([rule, words]) => (
          <option key={rule} value={rule}>
            {words}
          </option>
        ))}
      </select>
      {'. '}
      {asked && (
        <Ask
          rule={asked}
          onGo={() => {
            edit(asked);
            setAsked(null);
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  );
}
