import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import type { Feedback } from '@/core/content/feedback';
import { SILENCE } from '@/core/content/silence';
import { FeedbackField } from '@/ui/editing/FeedbackField';
import { same } from '@/core/figures/deepEqual';
import type { Answer } from '@/core/kinds';
import { count, dayAndTime, percent } from '@/ui/words/figures';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { run } from '@/ui/widgets/press/press';
import type { OpenedAnswer } from '@/workers/classDesk';
import { HandForm } from './HandForm';
import type { Judged } from '../judged';
import type { TypedAhead } from '../typedAhead';
import { useAccept } from './useAccept';

/** What can be done with an answer that is looked at. */
export type Action = 'accept' | 'part' | 'wrong' | 'hand';

interface Props {
  readonly opened: OpenedAnswer;
  readonly attemptId: string;
  readonly questionId: string;
  readonly possible: Fraction;
  /** What is keyed: the answer with those that differ from it only in form, or a part of it. */
  readonly judged: Judged;
  readonly action: Action | null;
  /** null closes what is open, and the table has the keys again. */
  readonly onAction: (action: Action | null) => void;
  /** Goes to the next answer that wants a look. */
  readonly onNext: () => void;
  readonly ahead: TypedAhead;
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
      className="flex w-full cursor-pointer items-center gap-3 border-b border-line py-1.5 text-left text-[14px] hover:bg-hair max-sm:min-h-10"
      aria-expanded={open}
      aria-keyshortcuts={letter}
      onClick={onPress}
    >
      <kbd className="max-sm:hidden inline-flex h-6 w-7 items-center justify-center rounded border border-[var(--field)] bg-paper text-[12px] font-semibold">
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
      data-own-undo
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
          label="Points for this answer"
          className="sentence-part"
          onChange={setCredit}
        />
      </span>
      <button type="submit" className="btn btn-sm btn-primary">
        Accept for {percent(credit)}
      </button>
    </form>
  );
}

function WrongForm({ onDone }: { readonly onDone: (feedback: Feedback) => void }) {
  const [feedback, setFeedback] = useState<Feedback>(SILENCE);
  return (
    <div data-own-undo className="border-b border-line py-2.5">
      <FeedbackField
        value={feedback}
        about="this answer"
        placeholder="What would help here?"
        onChange={setFeedback}
      />
      <button type="button" className="btn btn-sm btn-primary mt-2" onClick={() => onDone(feedback)}>
        Add as a wrong answer
      </button>
    </div>
  );
}

interface KeyProps {
  /** True for an answer that earns everything as it is. */
  readonly right: boolean;
  readonly action: Action | null;
  readonly press: (action: Action) => () => void;
  readonly onKey: (credit: Fraction, feedback?: Feedback) => void;
}

/** The ways in which the answer can go into the key, for everyone. */
const KeyActions = ({ right, action, press, onKey }: KeyProps) => (
  <>
    {!right && (
      <ActionButton letter="A" open={false} onPress={() => onKey(ONE)}>
        <strong>Accept</strong> as right, for everyone
      </ActionButton>
    )}
    <ActionButton letter="P" open={action === 'part'} onPress={press('part')}>
      Accept for <strong>part</strong> of the points
    </ActionButton>
    {action === 'part' && <PartForm onDone={onKey} />}
    <ActionButton letter="W" open={action === 'wrong'} onPress={press('wrong')}>
      Add to the key as a <strong>wrong</strong> answer, with feedback
    </ActionButton>
    {action === 'wrong' && <WrongForm onDone={(feedback) => onKey(ZERO, feedback)} />}
  </>
);

/** What a press would key besides, or instead of, the answer as it stands. */
function WhatIsKeyed(props: {
  readonly judged: Judged;
  readonly answer: Answer | null;
  readonly cannot: boolean;
}) {
  const { judged, answer, cannot } = props;
  if (judged.what === 'part') return <p className="py-1 text-[14px] font-semibold">{judged.words}</p>;
  const others = judged.alike.filter((one) => !same(one, answer)).length;
  if (cannot || others === 0) return null;
  return <p className="caption py-1">Also applies to {count(others, 'look-alike')}.</p>;
}

/** What can be done with the answer at hand: key it for everyone, or score it alone. Escape closes what is open. */
export function Actions(props: Props) {
  const { opened, attemptId, questionId, possible, judged, action, onAction, onNext, ahead } = props;
  const { accept, cannot } = useAccept(questionId, opened.answer, judged);
  const forms = useRef<HTMLDivElement>(null);
  const right =
    judged.what === 'part' ? judged.isRight : opened.trial.verdict === 'right' && !opened.override;
  const press = (wanted: Action) => () => onAction(action === wanted ? null : wanted);
  const key = (credit: Fraction, feedback?: Feedback) => {
    onAction(null);
    run(() => accept(credit, feedback));
  };
  const latest = useRef({ key, ahead });
  useEffect(() => {
    latest.current = { key, ahead };
  });
  useEffect(() => {
    if (action === 'accept') latest.current.key(ONE);
  }, [action]);
  // Before it is drawn: between the drawing and the focus a key would be lost.
  useLayoutEffect(() => {
    if (action && action !== 'accept') {
      const field = forms.current?.querySelector<HTMLInputElement | HTMLTextAreaElement>('input, textarea');
      field?.focus();
      // What stands in it is written over by what is typed.
      if (action === 'part') field?.select();
      // Once all fields have selected what stands in them.
      if (field) queueMicrotask(() => latest.current.ahead.write(field));
      // With its buttons, where the margin is a sheet with little room.
      field?.closest('[data-own-undo]')?.scrollIntoView({ block: 'nearest' });
    }
  }, [action]);
  return (
    <div
      ref={forms}
      className="mt-3"
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || action === null) return;
        event.stopPropagation();
        onAction(null);
      }}
    >
      {opened.override && (
        <p className="text-[13.5px] text-soft">
          {opened.override.gave === null ? 'Marked by hand' : 'Your own score'}, set{' '}
          {dayAndTime(opened.override.at)}.
        </p>
      )}
      <WhatIsKeyed judged={judged} answer={opened.answer} cannot={cannot !== null} />
      {cannot === null && <KeyActions right={right} action={action} press={press} onKey={key} />}
      {cannot !== null && opened.answer && <p className="caption py-1">{cannot}.</p>}
      <ActionButton letter="H" open={action === 'hand'} onPress={press('hand')}>
        Mark just this one by <strong>hand</strong>
      </ActionButton>
      {action === 'hand' && (
        <HandForm
          opened={opened}
          attemptId={attemptId}
          questionId={questionId}
          possible={possible}
          onSaved={onNext}
          onRemoved={() => onAction(null)}
        />
      )}
    </div>
  );
}
