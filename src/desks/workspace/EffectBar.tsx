import type { ReactNode } from 'react';
import { undoStep } from '@/store/undo/undo';
import { applyDraft, undoRevision } from '@/store/quiz/revisions';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { effectWords } from '@/ui/words/effectWords';
import { count, time } from '@/ui/words/figures';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { seeInCheck } from '@/ui/teacher/askedOfCheck';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useCovered } from '@/ui/widgets/layout/useCovered';
import type { Pending } from '@/workers/classDesk';

/** The rest of the effect: own scores that would differ, and scores that students know already. */
function moreWords({ overridesDiffer, seen }: Pending): string {
  const parts = [
    overridesDiffer > 0
      ? `${overridesDiffer} of your own scores ${overridesDiffer === 1 ? 'differs' : 'differ'} from marking`
      : '',
    seen > 0 ? `${count(seen, 'student has', 'students have')} seen the old score` : '',
  ];
  return parts
    .filter(Boolean)
    .map((part) => `, ${part}`)
    .join('');
}

interface FootProps {
  readonly label: string;
  readonly className: string;
  readonly children: ReactNode;
}

/** What stays at the foot of the page. */
function Foot({ label, className, children }: FootProps) {
  const foot = useCovered<HTMLElement>('foot');
  return (
    <section ref={foot} aria-label={label} className={`on-screen sticky bottom-0 z-10 mt-auto ${className}`}>
      {children}
    </section>
  );
}

/** The key that counts was changed by the teacher, and the way back from that. */
function LastChange({ at }: { readonly at: number }) {
  const { quiz } = useQuiz();
  const undo = () =>
    run(async () => {
      if (await undoRevision(quiz.id))
        notify('The earlier marks are back. Your changes are in the draft again.');
    });
  return (
    <Foot
      label="Last change to the key"
      className="flex items-center gap-4 border-t border-line bg-paper px-6 py-2 max-sm:px-4"
    >
      <p className="flex-1 text-soft max-sm:text-[14px]">
        The key was changed and applied to everyone at {time(at)}.
      </p>
      <button
        type="button"
        className="link-text min-h-[26px] cursor-pointer"
        onClick={() => seeInCheck('revisions')}
      >
        All changes
      </button>
      <button type="button" className="btn btn-sm btn-outline" onClick={undo}>
        Undo the change
      </button>
    </Foot>
  );
}

/** Changes that wait: their effect, and the press that applies them. */
function Waiting({ pending }: { readonly pending: Pending }) {
  const { quiz } = useQuiz();
  const apply = () =>
    run(async () => {
      if (!pending.shown) return;
      const applied = await applyDraft(quiz.id, pending.shown);
      if (!applied.ok) {
        notify('Something was changed just now, so nothing was applied: look at the effect again.');
        return;
      }
      const { step } = applied;
      notify('Everyone is marked by the new key', {
        label: 'Undo',
        run: () => run(() => undoStep(quiz.id, step)),
      });
    });
  return (
    <Foot
      label="Changes not applied"
      className="flex flex-wrap items-center gap-x-5 gap-y-2 bg-[#1a2436] px-6 py-3 text-[#fffefb] max-sm:px-4 max-sm:py-2 dark:bg-[#0d1119]"
    >
      <p className="font-title text-[17px] font-semibold max-sm:text-[15px]">
        {count(pending.count, 'change')} not applied
      </p>
      <p className="figures flex-1 max-sm:basis-full max-sm:text-[14px]" role="status">
        {effectWords(pending)}
        {moreWords(pending)}
      </p>
      <button
        type="button"
        className="btn btn-sm h-9 border-[#8f98a8] bg-transparent text-[#fffefb] shadow-none hover:bg-white/10 max-sm:flex-1"
        onClick={() => seeInCheck('effect')}
      >
        See who
      </button>
      <button
        type="button"
        className="btn btn-sm btn-accent h-9 text-[#1a1405] max-sm:flex-1"
        // What was typed just now is not in the effect yet: it is seen before it can be applied.
        disabled={pending.shown?.changeSeq !== quiz.changeSeq}
        onClick={apply}
      >
        Apply to all
      </button>
    </Foot>
  );
}

/** The bar at the foot while changes to the key wait in the draft, or after they were applied. */
export function EffectBar() {
  const { pending, pendingFailed } = useQuiz();
  if (pendingFailed)
    return (
      <Foot label="Changes not applied" className="">
        <Failed
          text={`What your changes would do to the scores could not be worked out. ${readingFailed(pendingFailed.failure)}`}
          onAgain={pendingFailed.again}
        />
      </Foot>
    );
  if (!pending) return null;
  if (pending.changes.length > 0) return <Waiting pending={pending} />;
  return pending.undoable === null ? null : <LastChange at={pending.undoable} />;
}
