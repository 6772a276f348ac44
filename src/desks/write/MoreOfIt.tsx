import { useState } from 'react';
import { isEmptyProse } from '@/core/content/prose';
import { isSilent } from '@/core/content/silence';
import { kindOf, type Question } from '@/core/kinds';
import type { Placed } from '@/core/quiz/placement';
import { pointsOfPlaced } from '@/core/quiz/points';
import { newId } from '@/device/ids';
import { Tool } from '@/kinds/shared/RowTools';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { ProseField } from '@/ui/editing/ProseField';
import { useUnfolded } from '@/ui/editing/unfolded';
import { useQuiz } from '@/ui/teacher/quizContext';
import { OwnName, Topics } from './OwnWords';
import { QuestionHints } from './rules/QuestionHints';

interface PartProps {
  readonly question: Question;
  readonly onChange: (question: Question) => void;
  /** Whether it has just been asked for, and takes the focus. */
  readonly asked: boolean;
}

const SIDES = [
  ['When right', 'right answers', 'right'],
  ['Partly right', 'partly right answers', 'partly'],
  ['When wrong', 'wrong answers', 'wrong'],
] as const;

/** What is said of right, partly right and wrong answers that have nothing of their own. */
const FeedbackBySide = ({ question, onChange, asked }: PartProps) => (
  <div className="mt-3 space-y-1">
    {SIDES.map(([title, about, side], at) => (
      <div key={side} className="grid grid-cols-[96px_minmax(0,1fr)] items-baseline gap-x-2">
        <span className="label-small">{title}</span>
        <FeedbackField
          value={question[side]}
          about={about}
          autoFocus={asked && at === 0}
          placeholder={
            side === 'partly' && !isSilent(question.wrong)
              ? 'As for wrong answers, unless you say something here'
              : 'Feedback where an answer has none of its own'
          }
          onChange={(feedback) => onChange({ ...question, [side]: feedback })}
        />
      </div>
    ))}
  </div>
);

const Explanation = ({ question, onChange, asked }: PartProps) => (
  <div className="mt-3 grid grid-cols-[96px_minmax(0,1fr)] items-baseline gap-x-2">
    <span className="label-small">Explanation</span>
    <ProseField
      label="Explanation"
      format="Format what explains it"
      placeholder="Shown with the right answers"
      autoFocus={asked}
      value={question.explanation}
      onChange={(explanation) => onChange({ ...question, explanation })}
    />
  </div>
);

interface Props {
  readonly placed: Placed;
  /** *question 3*, or *note 1*. */
  readonly called: string;
  readonly onChange: (question: Question) => void;
  readonly onRemove: () => void;
  readonly onDuplicate: () => void;
}

type Part = 'feedback' | 'explanation' | 'hint' | 'topics' | 'name';

/** Which of the parts are unfolded: those that hold something, and those that were asked for. */
function useParts(question: Question, firstHint: () => void) {
  const [asked, setAsked] = useState<Part | null>(null);
  const parts = {
    feedback: useUnfolded(`feedback of ${question.id}`),
    explanation: useUnfolded(`explanation of ${question.id}`),
    hint: [false, firstHint] as const,
    topics: useUnfolded(`topics of ${question.id}`),
    name: useUnfolded(`name of ${question.id}`),
  };
  const holds: Readonly<Record<Part, boolean>> = {
    feedback: SIDES.some(([, , side]) => !isSilent(question[side])),
    explanation: !isEmptyProse(question.explanation),
    hint: question.hints.length > 0,
    topics: question.topics.length > 0,
    name: question.name !== '',
  };
  return {
    asked,
    isOpen: (part: Part) => holds[part] || parts[part][0],
    ask: (part: Part) => {
      parts[part][1](true);
      setAsked(part);
    },
  };
}

/** What a question may have besides its key: words on one line until one is wanted, each then at its place. */
export function MoreOfIt({ placed, called, onChange, onRemove, onDuplicate }: Props) {
  const { quiz } = useQuiz();
  const { question } = placed;
  const { asks } = kindOf(question);
  const { asked, isOpen, ask } = useParts(question, () =>
    onChange({ ...question, hints: [{ id: newId(), text: '', price: { n: 1, d: 4 } }] }),
  );
  const part = (name: Part) => ({ question, onChange, asked: asked === name });
  const word = (name: Part, words: string) =>
    !isOpen(name) && <Tool words={words} to={`of ${called}`} onPress={() => ask(name)} />;
  return (
    <>
      {asks && isOpen('feedback') && <FeedbackBySide {...part('feedback')} />}
      {asks && isOpen('explanation') && <Explanation {...part('explanation')} />}
      {asks && isOpen('hint') && (
        <QuestionHints
          asked={asked === 'hint'}
          hints={question.hints}
          worth={pointsOfPlaced(placed, quiz.content)}
          onChange={(hints) => onChange({ ...question, hints })}
        />
      )}
      {isOpen('topics') && <Topics {...part('topics')} />}
      {isOpen('name') && <OwnName {...part('name')} />}
      <div role="group" aria-label={`More for ${called}`} className="row-tools mt-2">
        {asks && word('feedback', 'Feedback')}
        {asks && word('explanation', 'Explanation')}
        {asks && word('hint', 'Hint')}
        {word('topics', 'Topic')}
        {word('name', 'Short name')}
        <span className="ml-auto" />
        <Tool words="Duplicate" to={called} onPress={onDuplicate} />
        <Tool words="Delete" to={called} onPress={onRemove} />
      </div>
    </>
  );
}
