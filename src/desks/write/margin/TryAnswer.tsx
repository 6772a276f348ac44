import { shownBesideRight, type Answer, type Question } from '@/core/kinds';
import { useState, type ReactNode } from 'react';
import { same } from '@/core/figures/deepEqual';
import { equal } from '@/core/figures/fraction';
import { MOST_CHECKS, type Check, type Placed } from '@/core/quiz/placement';
import { newId } from '@/device/ids';
import { paperAround, readingOf } from '@/core/scoring/context';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { isSilent } from '@/core/content/silence';
import { useFaces } from '@/kinds/write';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { FeedbackView } from '@/ui/widgets/paper/FeedbackView';
import { points } from '@/ui/words/figures';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { ShownAnswer } from '@/ui/widgets/paper/ShownAnswer';
import { Trace } from '@/ui/widgets/paper/Trace';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import { verdictWords } from '@/ui/words/verdictWords';
import { quickWorker } from '@/workers/clients';
import type { Trial } from '@/views/tryAnswer';

interface TrialProps {
  readonly question: Question;
  readonly answer: Answer | null;
  readonly trial: Trial;
  readonly open: boolean;
  /** What is said and can be done besides. */
  readonly children?: ReactNode;
}

function TrialRow({ question, answer, trial, open, children }: TrialProps) {
  const waits = trial.verdict === 'waits';
  return (
    <li className="border-b border-line py-2.5">
      <div className="flex items-baseline gap-2.5">
        <CreditPie
          credit={trial.credit}
          verdict={trial.verdict}
          label={verdictWords(trial.verdict, trial.credit)}
        />
        <div className="min-w-0 flex-1 break-words">
          {answer ? <ShownAnswer answer={shownBesideRight(question, answer)} /> : 'no answer'}
        </div>
        <span className="figures font-semibold whitespace-nowrap">
          {waits
            ? `${points(trial.waiting)} not marked yet`
            : trial.verdict === 'unmarked'
              ? 'carries no points'
              : `${points(trial.earned)} of ${points(trial.possible)}`}
        </span>
      </div>
      <div className="pl-[27px]">
        {children}
        {trial.nearMiss && (
          <p className="mt-1 text-[13.5px] font-semibold text-saffron-text">
            Near miss: {nearMissWords(trial.nearMiss)}
          </p>
        )}
        <div className="mt-1 text-[14px]">
          <span className="label-small">The student reads </span>
          {isSilent(trial.feedback) ? (
            <span className="text-soft">nothing</span>
          ) : (
            <FeedbackView feedback={trial.feedback} />
          )}
        </div>
        <details className="mt-1" open={open}>
          <summary className="label-small cursor-pointer">How it was marked</summary>
          <div className="mt-1">
            <Trace lines={trial.trace} />
          </div>
        </details>
      </div>
    </li>
  );
}

/** Answers tried on the question in hand, marked by the worker whenever they or the key change. */
export function useTrials(placed: Placed, answers: readonly (Answer | null)[]): Query<readonly Trial[]> {
  const paper = usePaper();
  const { question, placement } = placed;
  const key = JSON.stringify(answers);
  return useQuery<readonly Trial[]>(
    () =>
      quickWorker().tryAnswers(
        question,
        JSON.parse(key) as (Answer | null)[],
        paperAround(paper, { question, placement }),
      ),
    [question, placement, key, paper],
  );
}

interface KeptProps {
  readonly check: Check;
  readonly trial: Trial;
  readonly onChange: (check: Check | null) => void;
}

/** Whether a check is met; where it is not, what was wanted, and the two ways out. */
function CheckState({ check, trial, onChange }: KeptProps) {
  const met = equal(check.points, trial.earned);
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 text-[13.5px]">
      {met ? (
        <span className="text-soft">as expected</span>
      ) : (
        <span role="alert" className="font-semibold text-saffron-text">
          You wanted {points(check.points)} of {points(trial.possible)}; now it earns {points(trial.earned)}.
        </span>
      )}
      {!met && (
        <button
          type="button"
          className="link-text cursor-pointer"
          onClick={() => onChange({ ...check, points: trial.earned })}
        >
          Expect {points(trial.earned)} from now on
        </button>
      )}
      <button type="button" className="link-text ml-auto cursor-pointer" onClick={() => onChange(null)}>
        Delete
        <span className="sr-only"> this test answer</span>
      </button>
    </div>
  );
}

/** The answers that were kept, each with what it must earn. */
function Checks({ placed, onKept }: Pick<TryProps, 'placed' | 'onKept'>) {
  const { checks } = placed.placement;
  const { value } = useTrials(
    placed,
    checks.map(({ answer }) => answer),
  );
  if (checks.length === 0 || value?.length !== checks.length) return null;
  const put = (at: number) => (check: Check | null) =>
    onKept(checks.flatMap((one, index) => (index !== at ? one : (check ?? []))));
  return (
    <section aria-labelledby="your-checks" className="pt-4">
      <h2 id="your-checks" className="text-[15px]">
        Test answers
      </h2>
      <ul aria-label="Test answers">
        {value.map((trial, at) => {
          const check = checks[at] as Check;
          return (
            <TrialRow
              key={check.id}
              question={placed.question}
              answer={check.answer}
              trial={trial}
              open={false}
            >
              <CheckState check={check} trial={trial} onChange={put(at)} />
            </TrialRow>
          );
        })}
      </ul>
    </section>
  );
}

interface TryProps {
  /** The question as it is written now, which may not be stored yet. */
  readonly placed: Placed;
  readonly called: string;
  readonly onKept: (checks: Check[]) => void;
}

/** Answers are tried on the question in hand: what comes back, and why, as they are typed. Kept, one is a check. */
export function TryAnswer({ placed, called, onKept }: TryProps) {
  const { question, placement } = placed;
  const { checks } = placement;
  const { quiz } = useQuiz();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const { value, failure, again } = useTrials(placed, answer ? [answer] : []);
  const trial = answer ? value?.[0] : undefined;
  const { Try, typed } = useFaces(question.kind);
  const keep = () => {
    if (!answer || !trial) return;
    const others = checks.filter((other) => !same(other.answer, answer));
    onKept([{ id: newId(), answer, points: trial.earned }, ...others].slice(0, MOST_CHECKS));
    setAnswer(null);
  };
  return (
    <>
      <section aria-labelledby="try-answer" className="pt-4">
        <h2 id="try-answer" className="text-[15px]">
          Try an answer to {called}
        </h2>
        <div className="mt-1.5">
          <Try
            question={question}
            context={readingOf(question, quiz.content)}
            value={answer}
            onChange={setAnswer}
            onKeep={keep}
          />
        </div>
        {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
        <ul aria-live="polite">
          {answer && trial && <TrialRow question={question} answer={answer} trial={trial} open />}
        </ul>
        {!answer && checks.length === 0 && (
          <p className="mt-2 text-[14px] text-soft">
            Type an answer to see its points, its feedback and why.
          </p>
        )}
        {answer && !typed && (
          <button type="button" className="btn btn-outline btn-xs mt-2" disabled={!trial} onClick={keep}>
            Save as a test answer
          </button>
        )}
        {answer && typed && (
          <p className="caption mt-1">
            Enter saves it as a test answer: you are told when it earns something else.
          </p>
        )}
      </section>
      <Checks placed={placed} onKept={onKept} />
    </>
  );
}
