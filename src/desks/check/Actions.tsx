import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ONE, ZERO, compare, type Fraction } from '@/core/figures/fraction';
import { kindOf } from '@/core/kinds';
import { SILENCE } from '@/core/quiz/silence';
import type { Feedback } from '@/core/quiz/feedback';
import { now } from '@/store/clock';
import { saveQuestion } from '@/store/edits';
import { newId } from '@/store/ids';
import { removeOverride, setOverride } from '@/store/overrides';
import { DecimalField } from '@/ui/DecimalField';
import { FeedbackField } from '@/ui/FeedbackField';
import { dayAndTime, points } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { PercentField } from '@/ui/PercentField';
import { useQuiz } from '@/ui/quizContext';
import type { OpenedAnswer } from '@/workers/classDesk';

/** What can be done with an answer that is looked at. */
export type Action = 'accept' | 'part' | 'wrong' | 'hand';

interface Props {
  readonly opened: OpenedAnswer;
  readonly attemptId: string;
  readonly questionId: string;
  readonly possible: Fraction;
  readonly action: Action | null;
  readonly onAction: (action: Action | null) => void;
  readonly onNext: () => void;
}

/** Takes the answer into the key of the draft; its effect on everyone shows at the foot before it is applied. */
function useAccept({ opened, questionId, onAction }: Props) {
  const { quiz, questions } = useQuiz();
  const record = questions.find((one) => one.id === questionId);
  const keyed = (credit: Fraction, feedback: Feedback) =>
    record && opened.answer
      ? kindOf(record.question).accept(record.question, opened.answer, { credit, feedback }, newId)
      : null;
  const accept = async (credit: Fraction, feedback: Feedback = SILENCE) => {
    const question = keyed(credit, feedback);
    onAction(null);
    if (!record || !question) {
      notify('This answer cannot be taken into the key: mark it by hand');
      return;
    }
    const number = quiz.content.order.indexOf(questionId) + 1;
    const saved = await saveQuestion(quiz.id, question, record.rev, {
      label: `Key an answer to question ${number}`,
      field: '',
    });
    notify(
      saved.ok
        ? 'In the key of the draft: see at the foot what it would change'
        : 'The question was changed in another tab just now: look again',
    );
  };
  return { accept, possible: keyed(ONE, SILENCE) !== null };
}

interface ButtonProps {
  readonly letter: string;
  readonly open: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

function ActionButton({ letter, open, onPress, children }: ButtonProps) {
  return (
    <button
      type="button"
      className="flex w-full cursor-pointer items-center gap-3 border-b border-line py-1.5 text-left text-[14px] hover:bg-hair"
      aria-expanded={open}
      aria-keyshortcuts={letter}
      onClick={onPress}
    >
      <kbd className="inline-flex h-6 w-7 items-center justify-center rounded border border-[var(--field)] bg-paper text-[12px] font-semibold">
        {letter}
      </kbd>
      <span>{children}</span>
    </button>
  );
}

function PartForm({ onDone }: { readonly onDone: (credit: Fraction) => void }) {
  const [credit, setCredit] = useState<Fraction>({ n: 1, d: 2 });
  return (
    <form
      className="flex items-baseline gap-3 border-b border-line py-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        onDone(credit);
      }}
    >
      <span>
        It earns{' '}
        <PercentField
          value={credit}
          label="Credit for this answer"
          className="sentence-part"
          onChange={setCredit}
        />
      </span>
      <button type="submit" className="btn btn-sm btn-primary">
        Into the key
      </button>
    </form>
  );
}

function WrongForm({ onDone }: { readonly onDone: (feedback: Feedback) => void }) {
  const [feedback, setFeedback] = useState<Feedback>(SILENCE);
  return (
    <div className="border-b border-line py-2.5">
      <FeedbackField
        value={feedback}
        about="this answer"
        placeholder="What would help here?"
        onChange={setFeedback}
      />
      <button type="button" className="btn btn-sm btn-primary mt-2" onClick={() => onDone(feedback)}>
        Expect as wrong
      </button>
    </div>
  );
}

function HandForm(props: Props) {
  const { quiz } = useQuiz();
  const { opened, possible, attemptId, questionId, onAction, onNext } = props;
  const [own, setOwn] = useState<Fraction | null>(opened.override?.points ?? opened.marked);
  const [reason, setReason] = useState(opened.override?.reason ?? '');
  const place = { quizId: quiz.id, attemptId, questionId };
  const above = own !== null && compare(own, possible) > 0;
  const save = async () => {
    if (own === null) return;
    await setOverride({ ...place, points: own, reason: reason.trim(), at: now(), gave: opened.marked });
    onAction(null);
    notify('Your own score stands for this answer', { label: 'Next to look at', run: onNext });
  };
  return (
    <form
      className="border-b border-line py-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <p className="leading-loose">
        <DecimalField
          className="sentence-part text-center"
          label="Your own points"
          value={own}
          most={1000}
          onEmpty={() => setOwn(null)}
          onChange={setOwn}
        />{' '}
        of {points(possible)} points
      </p>
      {above && <p className="text-[13.5px] text-saffron-text">That is more than the question is worth.</p>}
      <input
        className="lined-field mt-1"
        aria-label="Reason"
        placeholder="Reason, for you alone"
        maxLength={1000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <div className="mt-2 flex gap-3">
        <button type="submit" className="btn btn-sm btn-primary" disabled={own === null}>
          Let it stand
        </button>
        {opened.override && (
          <button
            type="button"
            className="btn btn-sm btn-outline"
            onClick={() => void removeOverride(place).then(() => onAction(null))}
          >
            Take it away
          </button>
        )}
      </div>
    </form>
  );
}

/** What can be done with the answer at hand: key it for everyone, or score it alone. */
export function Actions(props: Props) {
  const { opened, action, onAction } = props;
  const { accept, possible } = useAccept(props);
  const forms = useRef<HTMLDivElement>(null);
  const right = opened.trial.verdict === 'right' && !opened.override;
  const press = (wanted: Action) => () => onAction(action === wanted ? null : wanted);
  const running = useRef(accept);
  running.current = accept;
  useEffect(() => {
    if (action === 'accept') void running.current(ONE);
    else if (action) forms.current?.querySelector<HTMLElement>('input, textarea')?.focus();
  }, [action]);
  return (
    <div ref={forms} className="mt-3">
      {opened.override && (
        <p className="text-[13.5px] text-soft">Your own score, set {dayAndTime(opened.override.at)}.</p>
      )}
      {possible && !right && (
        <ActionButton letter="A" open={false} onPress={() => void accept(ONE)}>
          <strong>Accept</strong> as right, for everyone
        </ActionButton>
      )}
      {possible && (
        <>
          <ActionButton letter="P" open={action === 'part'} onPress={press('part')}>
            Accept for <strong>part</strong> of the points
          </ActionButton>
          {action === 'part' && <PartForm onDone={(credit) => void accept(credit)} />}
          <ActionButton letter="W" open={action === 'wrong'} onPress={press('wrong')}>
            Expect as <strong>wrong</strong>, with feedback
          </ActionButton>
          {action === 'wrong' && <WrongForm onDone={(feedback) => void accept(ZERO, feedback)} />}
        </>
      )}
      <ActionButton letter="H" open={action === 'hand'} onPress={press('hand')}>
        Mark just this one by <strong>hand</strong>
      </ActionButton>
      {action === 'hand' && <HandForm {...props} />}
    </div>
  );
}
