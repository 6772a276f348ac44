import { nearMissWords } from '@/core/marks/nearMissWords';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { count, percent } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import type { BundleMark, ShownBundle } from '@/workers/classDesk';
import type { Beside, Rows } from './beside';
import { inBundle } from './bundles';
import type { ViewProps } from '../viewProps';
import { Givers } from './Givers';
import { JoinOrPart } from './JoinOrPart';
import type { Place } from '../rows';

/** What is said of a mark: what it is near to, whether the key expects it, what it earns. */
function markWords(
  { verdict, credit, nearMiss, errors, expected }: BundleMark,
  nearTo: string | null,
): string {
  if (nearMiss) return nearMissWords(nearMiss, nearTo);
  if (verdict === 'wrong') return expected ? 'expected as wrong' : '';
  if (verdict === 'waits' || verdict === 'blank' || verdict === 'unmarked') return '';
  const slips = errors > 0 ? count(errors, 'typing error') : '';
  const share = credit.n === credit.d ? '' : percent(credit);
  return [share, slips].filter(Boolean).join(', ');
}

/** What is said of a bundle at the end of its line; where its answers are marked differently, how. */
function reasonOf({ mark, classes, nearTo }: ShownBundle): string {
  const byMark = new Map<string, number>();
  for (const one of classes) {
    const words = verdictWords(one.mark.verdict, one.mark.credit);
    byMark.set(words, (byMark.get(words) ?? 0) + one.times);
  }
  if (byMark.size < 2) return markWords(mark, nearTo);
  return [...byMark].map(([words, times]) => `${times} ${words}`).join(', ');
}

interface Props {
  readonly bundle: ShownBundle;
  readonly rows: Rows;
  readonly place: Place;
  readonly onPlace: ViewProps['onPlace'];
  readonly beside: Beside;
  /** It came while the view was open. */
  readonly isNew: boolean;
}

/** Answers that differ only in form: how many gave them, and what they earn. */
export function Bundle({ bundle, beside, isNew, rows, place, onPlace }: Props) {
  const { mark, text, others, who } = bundle;
  const { part, inHand } = beside;
  const { column } = place;
  const here = inHand ? inBundle(bundle, place.attemptId) : null;
  const at = here ?? who[0]?.attemptId ?? '';
  const reason = reasonOf(bundle);
  const more = others.slice(0, 6);
  return (
    <li>
      <button
        type="button"
        data-cell={`${at}:${column}`}
        data-bundle
        tabIndex={here ? 0 : -1}
        aria-pressed={here !== null}
        className={`flex min-h-10 w-full cursor-pointer items-baseline gap-3 border-b border-hair px-2 py-1.5 text-left ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-hair'}`}
        onClick={() => onPlace({ attemptId: at, column })}
      >
        <CreditPie credit={mark.credit} verdict={mark.verdict} overridden={false} label="" />
        <span className="figures w-9 flex-none text-right font-semibold">{who.length}</span>
        <span className="min-w-0 flex-1 break-words">
          <span className="sr-only">
            {part && `${part}, `}
            {verdictWords(mark.verdict, mark.credit)}:{' '}
          </span>
          {text === '' ? (
            <span className="text-soft">no answer</span>
          ) : (
            <span className="font-semibold whitespace-pre-line">{text}</span>
          )}
          {more.length > 0 && (
            <span className="ml-2 text-[13.5px] text-soft">
              <span className="sr-only">, also as </span>
              {more.join(' · ')}
              {others.length > more.length && ` · ${others.length - more.length} more`}
            </span>
          )}
          {isNew && <span className="ml-2 text-[13px] text-saffron-text">new</span>}
        </span>
        {reason && <span className="max-w-[45%] text-right text-[13.5px] text-soft">{reason}</span>}
      </button>
      {here && (
        <div className="bg-wash px-2 pb-2 pl-[76px] max-sm:pl-4">
          <p className="flex flex-wrap gap-x-3 text-[13.5px]">
            <Givers attemptIds={who.map(({ attemptId }) => attemptId)} {...{ rows, place, onPlace }} />
          </p>
          {beside.typed && text !== '' && <JoinOrPart bundle={bundle} beside={beside} />}
        </div>
      )}
    </li>
  );
}
