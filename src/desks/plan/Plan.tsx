import {
  ASPECTS,
  at,
  NEEDS,
  NEVER,
  planOf,
  waitsFor,
  type Aspect,
  type AspectPlan,
  type RevealPlan,
} from '@/core/quiz/plan';
import { aspectsByHand, shownToAllSince } from '@/core/reveal/byHand';
import { sceneFor } from '@/core/reveal/scene';
import { FEWEST_PAPERS, whatIsShown } from '@/core/reveal/whatIsShown';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import type { QuizContent } from '@/core/quiz/quiz';
import { showAspects } from '@/store/quiz/standing';
import { dayAndTime } from '@/ui/words/figures';
import { undoStep } from '@/store/records/history';
import { notify } from '@/ui/widgets/notices';
import { run } from '@/ui/widgets/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Conflict } from '@/ui/editing/Conflict';
import { useContentField } from '@/ui/teacher/useContentField';
import { AttemptSentence } from './AttemptSentence';
import { LateSentence } from './LateSentence';
import { TimeSentence } from './TimeSentence';
import { useNow } from '@/ui/widgets/useNow';

const SUBJECTS: Readonly<Record<Aspect, string>> = {
  score: 'The score appears',
  rightWrong: 'What was right and wrong, with points for each question, appears',
  questions: 'The questions appear',
  ownAnswers: 'The student’s own answers appear',
  feedback: 'Feedback with its links appears',
  rightAnswers: 'The right answers and explanations appear',
  comments: 'My comments appear',
  classDid: 'How the class did appears',
};
const WHEN = {
  handedIn: 'when the student has handed in',
  closed: 'when the quiz has closed',
  byTeacher: 'when I show it',
  never: 'never',
} as const;

type When = keyof typeof WHEN;
const planWhen = (when: When): AspectPlan => (when === 'never' ? NEVER : waitsFor(at(when)));
const READY_MADE: readonly { title: string; plan: RevealPlan }[] = [
  { title: 'All at once, at hand-in', plan: planOf(planWhen('handedIn'), { classDid: NEVER }) },
  {
    title: 'Score at hand-in, the rest after closing',
    plan: planOf(planWhen('closed'), { score: planWhen('handedIn'), classDid: NEVER }),
  },
  { title: 'All after closing', plan: planOf(planWhen('closed'), { classDid: NEVER }) },
  { title: 'All by hand', plan: planOf(planWhen('byTeacher'), { classDid: NEVER }) },
];

/** The one condition of an aspect, as far as it can be chosen here. */
function whenOf({ when }: AspectPlan): When {
  if (when === 'never') return 'never';
  const name = when[0]?.when ?? 'handedIn';
  return name in WHEN ? (name as When) : 'closed';
}

/** Early students can pass on what they see while others can still hand in. */
function leaksOf({ aspects }: RevealPlan): string | null {
  const risky = [
    ['rightAnswers', 'the right answers'],
    ['feedback', 'feedback'],
    ['rightWrong', 'what was right and wrong'],
  ] as const;
  const open = risky.filter(([aspect]) => whenOf(aspects[aspect]) === 'handedIn').map(([, words]) => words);
  return open.length === 0 ? null : open.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

function ByHand({ aspect }: { readonly aspect: Aspect }) {
  const { quiz } = useQuiz();
  const since = shownToAllSince(quiz.standing.acts, aspect);
  const press = async (show: 'show' | 'takeBack') => {
    // What it needs comes with it, where that waits for the press as well.
    const needed = NEEDS[aspect];
    const withIt = needed && show === 'show' && aspectsByHand(quiz.content.plan).includes(needed);
    const step = await showAspects(quiz.id, withIt ? [aspect, needed] : [aspect], show);
    notify(
      show === 'show'
        ? 'Shown to everyone who has finished, and to those who hand in later as soon as they do'
        : 'Hidden again',
      { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) },
    );
  };
  return (
    <span className="ml-2 inline-flex items-baseline gap-3">
      {since !== null && <span className="caption">shown since {dayAndTime(since)}</span>}
      <button
        type="button"
        className="btn btn-xs btn-outline"
        onClick={() => run(() => press(since === null ? 'show' : 'takeBack'))}
      >
        {since === null ? 'Show it now' : 'Hide it again'}
      </button>
    </span>
  );
}

/** An attempt of which nothing is known but that it was handed in. */
const NEW_ATTEMPT = {
  id: '',
  number: 1,
  limit: null,
  reopened: null,
  timeKnown: true,
  voided: false,
  takenInAt: null,
  marked: 'atHandIn',
} as const;

/** What a student who handed in at a moment would see now and later: the plan, said back. */
function Preview() {
  const { quiz } = useQuiz();
  const now = useNow();
  const scene = sceneFor({
    content: quiz.content,
    standing: quiz.standing,
    people: [],
    members: [],
    attempts: [],
    rulings: new Map(),
    markedAt: () => 'atHandIn',
    completePapers: FEWEST_PAPERS,
    visitor: '',
  });
  const handedIn = { ...NEW_ATTEMPT, begunAt: now, handedInAt: now };
  const seats = scene.seats.map((seat) => ({ ...seat, attempts: [handedIn] }));
  const shown = whatIsShown({ ...scene, seats }, '', now);
  const names = ASPECT_NAMES;
  const atOnce = ASPECTS.filter((aspect) => shown[aspect].state === 'shown');
  return (
    <section aria-labelledby="preview">
      <h2 id="preview" className="text-[15px]">
        A student who hands in now
      </h2>
      <dl className="mt-2 space-y-1.5">
        {ASPECTS.map((aspect) => {
          const showing = shown[aspect];
          const waits = showing.state === 'waits' ? showing : null;
          const later = !waits
            ? 'never'
            : waits.until !== null
              ? `from ${dayAndTime(waits.until)}`
              : waits.for.some((one) => one.for === 'byTeacher')
                ? 'once you show it'
                : 'once you close the quiz';
          return (
            <div key={aspect} className="flex justify-between gap-4 border-b border-line pb-1.5">
              <dt>{names[aspect]}</dt>
              <dd className={waits || showing.state === 'never' ? 'text-soft' : 'font-semibold'}>
                {showing.state === 'shown' ? 'at once' : later}
              </dd>
            </div>
          );
        })}
      </dl>
      {atOnce.length === 0 && (
        <p className="mt-2 text-soft">When they hand in, students get only a receipt.</p>
      )}
    </section>
  );
}

/** What the plan gives away to those who have not sat the quiz yet, or sit it again. */
function Leaks({ plan, again }: { readonly plan: RevealPlan; readonly again: boolean }) {
  const leak = leaksOf(plan);
  return (
    <>
      {leak && (
        <p className="mt-3 border-l-2 border-saffron bg-wash px-4 py-3" role="note">
          <strong>Early students can pass it on.</strong> Whoever has handed in sees {leak}, while others can
          still sit until the quiz closes.
        </p>
      )}
      {again && whenOf(plan.aspects.rightAnswers) === 'handedIn' && (
        <p className="mt-3 border-l-2 border-saffron bg-wash px-4 py-3" role="note">
          <strong>The next attempt is given away.</strong> Students who can take the quiz again see the right
          answers after their first attempt.
        </p>
      )}
    </>
  );
}

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

interface AspectProps {
  readonly aspect: Aspect;
  readonly when: When;
  readonly onWhen: (when: When) => void;
}

/** When one part of the result is shown. */
const AspectSentence = ({ aspect, when: chosen, onWhen }: AspectProps) => (
  <li className="border-b border-hair py-3 text-[16.5px] leading-relaxed">
    {SUBJECTS[aspect]}{' '}
    <span className="sentence-end">
      <select
        className="sentence-part"
        aria-label={SUBJECTS[aspect]}
        value={chosen}
        onChange={(event) => onWhen(event.target.value as When)}
      >
        {Object.entries(WHEN).map(([when, words]) => (
          <option key={when} value={when}>
            {words}
          </option>
        ))}
      </select>
      .
    </span>
    {chosen === 'byTeacher' && <ByHand aspect={aspect} />}
  </li>
);

/** What becomes of work that was not handed in in time. */
function UnfinishedSentence() {
  const unfinished = useContentField('unfinished', 'Change the rule for unfinished work');
  return (
    <li className="py-3 text-[16.5px] leading-relaxed">
      Work that is not handed in when the quiz closes{' '}
      <select
        className="sentence-part"
        aria-label="Work that is not handed in when the quiz closes"
        value={unfinished.value}
        onChange={(event) => unfinished.edit(event.target.value as QuizContent['unfinished'])}
      >
        <option value="taken">is collected as it is</option>
        <option value="notCounted">counts as not handed in</option>
      </select>
      .
    </li>
  );
}

/** Which part of the result is shown when, as sentences that can be changed. */
export default function Plan() {
  const plan = useContentField('plan', 'Change the reveal plan');
  const { quiz } = useQuiz();
  return (
    <main className="mx-auto grid w-full max-w-[1180px] flex-1 grid-cols-[minmax(0,1fr)_340px] items-start gap-x-10 px-6 py-6 max-lg:grid-cols-1 max-sm:px-0 max-sm:pt-0">
      <div className="bg-paper px-9 py-7 max-sm:px-4 max-sm:py-3">
        <h1 className="station-title">Reveal plan</h1>
        <p className="caption mt-1">
          What each student sees of their result, and when. Changes take effect immediately, for everyone.
        </p>
        <Conflict
          draft={plan}
          what="The reveal plan"
          show={(version) =>
            ASPECTS.map((aspect) => (
              <p key={aspect}>{`${SUBJECTS[aspect]} ${WHEN[whenOf(version.aspects[aspect])]}.`}</p>
            ))
          }
        />
        <ul className="mt-4">
          {ASPECTS.map((aspect) => (
            <AspectSentence
              key={aspect}
              aspect={aspect}
              when={whenOf(plan.value.aspects[aspect])}
              onWhen={(when) =>
                plan.edit({ ...plan.value, aspects: { ...plan.value.aspects, [aspect]: planWhen(when) } })
              }
            />
          ))}
        </ul>
        <h2 className="mt-6 text-[17px]">Attempts, time and being late</h2>
        <ul className="mt-1">
          <AttemptSentence />
          <TimeSentence />
          <LateSentence />
          <UnfinishedSentence />
        </ul>
        <Leaks plan={plan.value} again={quiz.content.attempts.most !== 1} />
        <h2 className="mt-6 text-[15px]">Ready-made plans</h2>
        <ReadyMade onPlan={plan.edit} />
      </div>
      <aside
        aria-label="Margin"
        className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0 max-sm:px-4"
      >
        <Preview />
      </aside>
    </main>
  );
}
