import type { ReactNode } from 'react';
import { ASPECTS } from '@/core/quiz/plan/plan';
import { wholeSpan } from '@/core/quiz/times/window';
import { Conflict } from '@/ui/editing/Conflict';
import { useUnfolded } from '@/ui/editing/unfolded';
import { useOpening } from '@/ui/teacher/opening';
import { useQuiz } from '@/ui/teacher/quizContext';
import { SetToLine } from '@/ui/teacher/SetToLine';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanView } from '@/workers/classDesk';
import { AtAnotherTime } from './AtAnotherTime';
import { Part } from './first/Part';
import { readyMadeOf } from './first/readyMade';
import { Rules } from './first/Rules';
import { SeenWhen } from './first/SeenWhen';
import { Leaks } from './lanes/Leaks';
import { OwnTimes } from './lanes/OwnTimes';
import { Silence } from './lanes/Silence';
import { TimeLine } from './lanes/TimeLine';
import { usePlanView } from './lanes/usePlanView';
import { NotInEffect } from './NotInEffect';
import { sentenceOf } from './sentences/conditionWords';
import { PlanSentences } from './sentences/PlanSentences';
import { ZoneSentence } from './sentences/ZoneSentence';
import { usePlans } from './usePlans';

/** When the quiz is open, and the press that opens it or changes that; who has times of their own. */
function WhenPart({ children }: { readonly children: ReactNode }) {
  const { quiz } = useQuiz();
  const ask = useOpening();
  const { zone } = quiz.content;
  const { opening } = quiz.standing;
  return (
    <Part title="When">
      {opening ? (
        <>
          From <strong>{dayAndTimeIn(opening.from, zone)}</strong>{' '}
          {opening.until === null ? (
            'until you close it'
          ) : (
            <>
              until <strong>{dayAndTimeIn(opening.until, zone)}</strong>
            </>
          )}
          {opening.due !== null && `, late from ${dayAndTimeIn(opening.due, zone)}`}.{' '}
        </>
      ) : (
        'Not opened yet. '
      )}
      <button type="button" className="link-text on-screen cursor-pointer" onClick={ask}>
        {wholeSpan(quiz.standing) ? 'Change when it is open…' : 'Open to students…'}
      </button>
      <OwnTimes />
      {children}
    </Part>
  );
}

interface LineProps {
  readonly plans: ReturnType<typeof usePlans>;
  readonly view: PlanView;
}

/** The line with its lanes: as soon as there is more than one, and by a press before. */
function Line({ plans, view }: LineProps) {
  const { quiz } = useQuiz();
  const [asked, setAsked] = useUnfolded('line of the plan');
  if (view.lanes.length === 0)
    return <p className="text-soft">Choose who takes the quiz to see times here.</p>;
  const several = view.lanes.length > 1;
  return (
    <>
      {!several && (
        <button
          type="button"
          className="link-text on-screen cursor-pointer text-[14px]"
          aria-expanded={asked}
          onClick={() => setAsked(!asked)}
        >
          {asked ? 'Hide the time line' : 'Draw it on a time line'}
        </button>
      )}
      {(several || asked) && (
        <TimeLine view={view} zone={quiz.content.zone} plans={plans.shown} onPlans={plans.change} />
      )}
    </>
  );
}

/** What students see, and when: a ready-made plan, and by a press sentence by sentence. */
function SeenPart({ plans, view }: LineProps) {
  const { quiz } = useQuiz();
  const { zone } = quiz.content;
  const { shown, change, pending, putIntoEffect, leave, draft } = plans;
  const [asked, setAsked] = useUnfolded('sentences of the plan');
  const own = readyMadeOf(shown.plan) === null || shown.ownPlans.length > 0;
  const byHand = ASPECTS.some((aspect) => {
    const { when } = shown.plan.aspects[aspect];
    return when !== 'never' && when.some((one) => one.when === 'byTeacher');
  });
  // What is held by hand is shown by the presses in its sentences.
  const open = asked || own || byHand;
  return (
    <>
      <Part title="What students see, and when">
        <SeenWhen plan={shown.plan} onPlan={(plan) => change({ ...shown, plan })} />
        {!own && !byHand && (
          <button
            type="button"
            className="link-text on-screen min-h-8 cursor-pointer text-[14px]"
            aria-expanded={asked}
            onClick={() => setAsked(!asked)}
          >
            Finer, or for one group
          </button>
        )}
      </Part>
      <Leaks view={view} zone={zone} plans={shown} onPlans={change} />
      <Conflict
        draft={draft}
        what="The plan"
        show={(version) =>
          ASPECTS.map((aspect) => <p key={aspect}>{sentenceOf(aspect, version.aspects[aspect], zone)}</p>)
        }
      />
      {open && <PlanSentences plans={shown} lanes={view.lanes} onChange={change} />}
      {pending && <NotInEffect plans={pending} onHold={putIntoEffect} onLeave={leave} />}
    </>
  );
}

/** Who can take the quiz, when, how often and how long; what of the result is shown when, and what that gives away. */
export default function Plan() {
  const plans = usePlans();
  const { value: view, failure, again } = usePlanView(plans.pending);
  return (
    <main className="mx-auto grid w-full max-w-[1240px] flex-1 grid-cols-[minmax(0,1fr)_320px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-0 max-sm:pt-0">
      <div className="min-w-0 bg-paper px-9 py-7 max-sm:px-4 max-sm:py-3">
        <h1 className="station-title">Plan</h1>
        <p className="caption mt-1">
          Who can take the quiz, and when each part of the result is shown. <ZoneSentence />
        </p>
        {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
        {!view && !failure ? (
          <p className="mt-4 text-soft">Working out who sees what when…</p>
        ) : (
          <>
            <h2 className="sr-only">Who, when and how</h2>
            <div className="mt-3 border-t border-hair">
              <Part title="Who">
                <SetToLine />
              </Part>
              <WhenPart>{view && <Line plans={plans} view={view} />}</WhenPart>
              <Rules />
            </div>
            <h2 className="sr-only">What is shown</h2>
            {view && (
              <div className="border-t border-hair">
                <SeenPart plans={plans} view={view} />
              </div>
            )}
          </>
        )}
      </div>
      <aside
        aria-label="Margin"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0 max-sm:px-4"
      >
        {(view || failure) && <AtAnotherTime />}
        {view && <Silence view={view} />}
      </aside>
    </main>
  );
}
