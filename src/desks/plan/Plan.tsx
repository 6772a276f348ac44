import { ASPECTS, at, NEVER, planOf, waitsFor, type RevealPlan } from '@/core/quiz/plan/plan';
import { Conflict } from '@/ui/editing/Conflict';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { AtAnotherTime } from './AtAnotherTime';
import { Leaks } from './lanes/Leaks';
import { OwnTimes } from './lanes/OwnTimes';
import { Silence } from './lanes/Silence';
import { TimeLine } from './lanes/TimeLine';
import { usePlanView } from './lanes/usePlanView';
import { ComingBackSentence, GoingBackSentence, MissingSentence } from './sentences/PageSentences';
import { PlanSentences } from './sentences/PlanSentences';
import { ZoneSentence } from './sentences/ZoneSentence';
import { NotInEffect } from './NotInEffect';
import { UnfinishedSentence } from './sentences/UnfinishedSentence';
import { usePlans } from './usePlans';
import { AttemptSentence } from './sentences/AttemptSentence';
import { sentenceOf } from './sentences/conditionWords';
import { LateSentence } from './sentences/LateSentence';
import { TimeSentence } from './sentences/TimeSentence';

const AT_ONCE = waitsFor(at('handedIn'));
const ALL_CLOSED = waitsFor({ when: 'allClosed', scope: 'all', delay: null });
const BY_HAND = waitsFor(at('byTeacher'));
const READY_MADE: readonly { title: string; plan: RevealPlan }[] = [
  { title: 'All at once, at hand-in', plan: planOf(AT_ONCE, { classDid: NEVER }) },
  {
    title: 'Score at hand-in, the rest after closing for all',
    plan: planOf(ALL_CLOSED, { score: AT_ONCE, classDid: NEVER }),
  },
  { title: 'All after closing for all', plan: planOf(ALL_CLOSED, { classDid: NEVER }) },
  { title: 'All by hand', plan: planOf(BY_HAND, { classDid: NEVER }) },
];

const ReadyMade = ({ onPlan }: { readonly onPlan: (plan: RevealPlan) => void }) => (
  <div className="mt-2 flex flex-wrap gap-2">
    {READY_MADE.map(({ title, plan: readyMade }) => (
      <button
        key={title}
        type="button"
        className="btn btn-sm btn-outline font-normal"
        onClick={() => onPlan(readyMade)}
      >
        {title}
      </button>
    ))}
  </div>
);

/** When who can sit, what of the result is shown when, and what that gives away: drawn, and as sentences that can be changed. */
export default function Plan() {
  const { draft, shown, pending, change, putIntoEffect, leave } = usePlans();
  const { quiz } = useQuiz();
  const { zone } = quiz.content;
  const { value: view, failure, again } = usePlanView(pending);
  return (
    <main className="mx-auto grid w-full max-w-[1240px] flex-1 grid-cols-[minmax(0,1fr)_320px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-0 max-sm:pt-0">
      <div className="min-w-0 bg-paper px-9 py-7 max-sm:px-4 max-sm:py-3">
        <h1 className="station-title">Reveal plan</h1>
        <p className="caption mt-1">
          When who can take the quiz, and what of their result they see when. <ZoneSentence />
        </p>
        {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
        {!view && !failure ? (
          <p className="mt-4 text-soft">Working out who sees what when …</p>
        ) : (
          <>
            {view && view.lanes.length > 0 && (
              <TimeLine view={view} zone={zone} plans={shown} onPlans={change} />
            )}
            {view && view.lanes.length === 0 && (
              <p className="mt-3 text-soft">
                The quiz is set to nobody yet, so that there is nobody to draw.
              </p>
            )}
            <OwnTimes />
            {view && <Leaks view={view} zone={zone} plans={shown} onPlans={change} />}
            <Conflict
              draft={draft}
              what="The reveal plan"
              show={(version) =>
                ASPECTS.map((aspect) => (
                  <p key={aspect}>{sentenceOf(aspect, version.aspects[aspect], zone)}</p>
                ))
              }
            />
            <PlanSentences plans={shown} lanes={view?.lanes ?? []} onChange={change} />
            <h2 className="on-screen mt-5 text-[15px]">Ready-made plans</h2>
            <ReadyMade onPlan={(plan) => change({ ...shown, plan })} />
            {pending && <NotInEffect plans={pending} onHold={putIntoEffect} onLeave={leave} />}
            <h2 className="mt-6 text-[17px]">Attempts, time and being late</h2>
            <ul className="mt-1">
              <AttemptSentence />
              <TimeSentence />
              <GoingBackSentence />
              <ComingBackSentence />
              <LateSentence />
              <MissingSentence />
              <UnfinishedSentence />
            </ul>
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
