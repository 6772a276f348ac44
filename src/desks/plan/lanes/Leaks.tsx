import { remedied } from '@/core/reveal/leaks';
import { knowLeaks, nameLeaksAgain, type Plans } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useContentField } from '@/ui/teacher/useContentField';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { hintWords, knownWords, moreWords, whenWords, whoWords } from '@/ui/words/warningWords';
import type { PlanLeak, PlanView } from '@/workers/classDesk';

interface Props {
  readonly view: PlanView;
  readonly zone: string;
  readonly plans: Plans;
  readonly onPlans: (plans: Plans) => void;
}

/** What the teacher ignores, and the way to be warned of it again. */
function KnownOnes({ known }: { readonly known: number }) {
  const { quiz } = useQuiz();
  if (known === 0) return null;
  const { said, press } = knownWords(known);
  return (
    <p className="caption mt-2">
      {said}{' '}
      <button
        type="button"
        className="link-text cursor-pointer"
        onClick={() => run(() => nameLeaksAgain(quiz.id))}
      >
        {press}
      </button>
    </p>
  );
}

/** What only hints at the key, in one quiet line; a strict teacher is warned of it as of the key. */
function Hints({ view }: { readonly view: PlanView }) {
  const strict = useContentField('strict', 'Change whether hints are warned of');
  const said = hintWords(view.hints);
  if (!strict.value && said === null) return null;
  return (
    <p className="caption on-screen mt-2">
      {strict.value ? 'You are warned of hints as well.' : said}{' '}
      <button type="button" className="link-text cursor-pointer" onClick={() => strict.edit(!strict.value)}>
        {strict.value ? 'Warn of right answers alone' : 'Be strict: warn of this too'}
      </button>
    </p>
  );
}

const MOST = 3;

/** Plans with everything held back that makes one of some leaks. */
const held = (plans: Plans, leaks: readonly PlanLeak[]): Plans =>
  leaks.reduce(
    (mended, { aspects, kind }) => aspects.reduce((one, aspect) => remedied(one, { aspect, kind }), mended),
    plans,
  );

/** What the plan gives away to those who can still hand in, with presses that hold it back: one by one, or all of it. */
export function Leaks({ view, zone, plans: { plan, ownPlans }, onPlans }: Props) {
  const { quiz } = useQuiz();
  const { leaks } = view;
  const hold = (those: readonly PlanLeak[]) => onPlans(held({ plan, ownPlans }, those));
  const know = (those: readonly PlanLeak[]) =>
    run(async () => {
      const step = await knowLeaks(
        quiz.id,
        those.flatMap((leak) => leak.as),
      );
      notify('Ignored, unless more can be passed on', {
        label: 'Undo',
        run: () => run(() => undoStep(quiz.id, step)),
      });
    });
  return (
    <>
      {leaks.length > 0 && (
        <div className="mt-4 border-l-2 border-saffron bg-wash px-4 py-2.5">
          <ul aria-label="Warnings" className="space-y-1.5">
            {leaks.slice(0, MOST).map((leak) => {
              const who = whoWords(leak, view.lanes);
              return (
                <li key={`${leak.kind} ${leak.hearers}`}>
                  <strong>{who}</strong> {whenWords(leak, view, zone)}{' '}
                  <span className="on-screen whitespace-nowrap">
                    <button
                      type="button"
                      className="link-text cursor-pointer font-semibold"
                      onClick={() => hold([leak])}
                    >
                      {leak.kind === 'self' ? 'Show them after the last attempt' : 'Show them after closing'}
                      <span className="sr-only">: {who}</span>
                    </button>
                    {' · '}
                    <button type="button" className="link-text cursor-pointer" onClick={() => know([leak])}>
                      Ignore<span className="sr-only">: {who}</span>
                    </button>
                  </span>
                </li>
              );
            })}
          </ul>
          {leaks.length > 1 && (
            <p className="on-screen mt-2 border-t border-line pt-1.5">
              {moreWords(leaks.length - MOST)}
              <button
                type="button"
                className="link-text cursor-pointer font-semibold"
                onClick={() => hold(leaks)}
              >
                Show all of it after closing
              </button>
              {' · '}
              <button type="button" className="link-text cursor-pointer" onClick={() => know(leaks)}>
                Ignore all
              </button>
            </p>
          )}
        </div>
      )}
      <Hints view={view} />
      <KnownOnes known={view.known} />
    </>
  );
}
