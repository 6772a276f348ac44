import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from '@/ui/widgets/icons';
import { memo, Suspense, use, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { kindOf, type Question } from '@/core/kinds';
import { carriesPoints, type Placed } from '@/core/quiz/placement';
import type { QuizContent } from '@/core/quiz/quiz';
import { readingOf } from '@/core/scoring/context';
import { pointsOfPlaced } from '@/core/quiz/points';
import { isEmptyText } from '@/core/content/plainText';
import { useFaces } from '@/kinds/write';
import type { QuestionRecord } from '@/store/records/db';
import { points, pointWord } from '@/ui/words/figures';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { RichText } from '@/ui/widgets/paper/RichText';
import { unsavedWork } from '@/ui/editing/saving';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { usePrinting } from '@/ui/widgets/layout/usePrinting';
import { Between, PageLine } from './Between';
import { InHand } from './margin/Margin';
import { Notes } from './margin/Notes';
import type { MarginState } from './margin/useMarginState';
import { PaperNow, type QuestionActs } from './PaperNow';
import { asBegun } from '@/core/quiz/numbers';
import { QuestionInHand } from './QuestionInHand';
import type { Spreads } from './margin/useSpreads';

interface BodyProps {
  readonly record: QuestionRecord;
  /** null for a note. */
  readonly number: number | null;
  /** *question 3*, or *note 1*. */
  readonly called: string;
  readonly content: QuizContent;
  readonly acts: QuestionActs;
  readonly grip: Grip;
  /** All that the margin knows, for the question in hand; null for one that is folded. */
  readonly margin: MarginState | null;
  readonly spreads: Spreads | null;
  readonly problems: readonly string[] | undefined;
}

/** What the handle by which a question is dragged needs. */
export type Grip = Pick<ReturnType<typeof useSortable>, 'attributes' | 'listeners'>;

interface FoldedProps {
  readonly question: Question;
  readonly content: QuizContent;
  readonly marked: boolean;
}

/** The question as students read it, with its key: drawn again only when it is another one. */
const FoldedText = memo(function FoldedText({ question, content, marked }: FoldedProps) {
  const { Folded: Answers } = useFaces(question.kind);
  return (
    <>
      {isEmptyText(question.text) ? (
        <p className="prose-paper text-soft">Question without text</p>
      ) : (
        <RichText text={question.text} />
      )}
      <Answers question={question} context={readingOf(question, content)} marked={marked} />
    </>
  );
});

function Folded({ record, content, acts }: Pick<BodyProps, 'record' | 'content' | 'acts'>) {
  // What could not be stored is shown all the same: it is in this tab, and waits to be tried again.
  const { question, placement } =
    (unsavedWork().get(`question:${record.id}`) as Placed | undefined) ?? record;
  return (
    <div className="cursor-text px-9 py-4 max-sm:px-4" onClick={() => acts.take(record.id)}>
      <FoldedText question={question} content={content} marked={carriesPoints(placement)} />
    </div>
  );
}

interface EdgeProps extends Pick<BodyProps, 'record' | 'number' | 'called' | 'content' | 'acts' | 'grip'> {
  readonly inHand: boolean;
  readonly problem: string | undefined;
}

/** Number, points and grip of a question, in the paper's left edge. */
function Edge({ record, number, called, content, inHand, acts, grip, problem }: EdgeProps) {
  const worth = pointsOfPlaced(record, content);
  return (
    <div className="edge absolute top-4 -left-[72px] flex w-[62px] items-start justify-end gap-0.5 max-sm:static max-sm:w-auto max-sm:justify-start max-sm:px-4 max-sm:pt-3">
      <button
        type="button"
        className="icon-button grip !min-w-[24px] touch-none cursor-grab"
        {...grip.attributes}
        {...grip.listeners}
        aria-label={`Move ${called}`}
        title="Drag, or use the arrow keys"
        onKeyDown={(event) => {
          if (event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
          event.preventDefault();
          acts.moveBy(record.id, event.key === 'ArrowUp' ? -1 : 1);
        }}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <div className="text-right max-sm:flex max-sm:items-baseline max-sm:gap-2">
        <button
          type="button"
          className="figures block min-h-6 w-full min-w-7 cursor-pointer text-right font-title text-[16px] font-semibold hover:text-petrol"
          data-prints
          aria-expanded={inHand}
          aria-label={asBegun(called)}
          onClick={() => acts.take(record.id)}
        >
          {number ?? 'Note'}
        </button>
        {kindOf(record.question).asks && (
          <span className="caption figures block leading-tight whitespace-nowrap">
            {carriesPoints(record.placement) ? `${points(worth)} ${pointWord(worth, 'pt')}` : 'no pts'}
          </span>
        )}
        {problem && (
          <span className="block text-[12px] leading-tight font-semibold text-saffron-text lg:hidden">
            {problem}
          </span>
        )}
      </div>
    </div>
  );
}

/** Comes into view when it is taken in hand: whole where it fits, else from its top on. */
function useIntoView(inHand: boolean, node: RefObject<HTMLElement | null>): void {
  const taken = useRef(inHand);
  useEffect(() => {
    const newly = inHand && !taken.current;
    taken.current = inHand;
    if (!newly) return;
    const show = () => {
      const tall = (node.current?.offsetHeight ?? 0) > innerHeight * 0.75;
      node.current?.scrollIntoView({ block: tall ? 'start' : 'nearest' });
    };
    show();
    // Once more when what is loaded for it has found its height, unless the hand has moved on: nothing must slip from under it.
    const again = setTimeout(show, 300);
    const moved = new AbortController();
    const stay = () => {
      clearTimeout(again);
      moved.abort();
    };
    for (const event of ['pointerdown', 'keydown', 'wheel'] as const)
      addEventListener(event, stay, { signal: moved.signal, capture: true, passive: true });
    return stay;
  }, [inHand, node]);
}

/** What stands in a question's row: drawn again only when something has changed for it. */
const Body = memo(function Body(props: BodyProps) {
  const { record, called, content, acts, margin, spreads, problems } = props;
  const inHand = margin !== null;
  const { question } = record;
  const narrow = useNarrow('tablet');
  const printing = usePrinting();
  // What is written is marked before it is stored: marks follow the keys, however large the paper is.
  const [written, setWritten] = useState<Placed | null>(null);
  return (
    <WithFormulas formulas={question.formulas}>
      <div className="paper-question relative border-b border-line bg-paper">
        <PageLine id={record.id} called={called} />
        <Edge {...props} inHand={inHand} problem={problems?.[0]} />
        <Suspense
          fallback={
            <div className="min-h-24 px-9 py-4 max-sm:px-4">
              <RichText text={question.text} />
            </div>
          }
        >
          {inHand ? (
            <>
              <div className="on-screen">
                <QuestionInHand
                  record={record}
                  called={called}
                  onWritten={setWritten}
                  onRemove={() => acts.remove(record.id)}
                  onDuplicate={() => acts.duplicate(record.id)}
                />
              </div>
              {printing && (
                <div className="hidden print:block">
                  <Folded record={record} content={content} acts={acts} />
                </div>
              )}
            </>
          ) : (
            <Folded record={record} content={content} acts={acts} />
          )}
        </Suspense>
        <Between id={record.id} called={called} acts={acts} />
      </div>
      {!narrow && inHand && (
        <div className="paper-margin">
          <aside aria-label="Margin" className="paper-margin-stays">
            <InHand record={written ?? record} called={called} margin={margin} />
          </aside>
        </div>
      )}
      {!narrow && !inHand && (
        <div className="paper-margin">
          <Notes placed={record} called={called} spreads={spreads} problems={problems} />
        </div>
      )}
    </WithFormulas>
  );
});

interface Props {
  readonly id: string;
  readonly inHand: boolean;
  /** Whether there are so many that those out of sight are better not drawn. */
  readonly many: boolean;
  readonly acts: QuestionActs;
}

/** Takes what the question needs of the paper as it is now. */
function Now({ id, inHand, ...more }: Omit<Props, 'many'> & { readonly grip: Grip }) {
  const now = use(PaperNow);
  const record = now?.byId.get(id);
  if (!now || !record) return null;
  const { content, margin } = now;
  return (
    <Body
      {...more}
      record={record}
      number={now.numbers.get(id) ?? null}
      called={now.names.get(id) ?? ''}
      content={content}
      margin={inHand ? margin : null}
      spreads={margin.spreads}
      problems={margin.ready.get(id)}
    />
  );
}

/**
 * One question on the paper: its number and points in the left edge, folded as students read it, or in hand; in the margin
 * what is known of it.
 */
export function PaperQuestion(props: Props) {
  const { many, ...shown } = props;
  const { id, inHand } = shown;
  const { attributes, listeners, setNodeRef, node, transform, transition, isDragging } = useSortable({ id });
  useIntoView(inHand, node);
  const grip = useMemo(() => ({ attributes, listeners }), [attributes, listeners]);
  const style = { transform: CSS.Translate.toString(transform), transition };
  const state = inHand || isDragging || !many ? '' : 'paper-row-folded';
  return (
    <li
      ref={setNodeRef}
      style={style}
      data-question={id}
      className={`paper-row beneath-head relative ${state} ${isDragging ? 'z-10 shadow-lg' : ''}`}
    >
      <Now {...shown} grip={grip} />
    </li>
  );
}
