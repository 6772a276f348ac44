import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { Suspense, useEffect, useRef, type RefObject } from 'react';
import { kindOf } from '@/core/kinds';
import type { Placed } from '@/core/quiz/placement';
import { readingOf } from '@/core/scoring/markAttempt';
import { pointsOfPlaced } from '@/core/quiz/points';
import { isEmptyText } from '@/core/content/plainText';
import { useFaces } from '@/kinds/write';
import type { QuestionRecord } from '@/store/records/db';
import { points, pointWord } from '@/ui/words/figures';
import { useQuiz } from '@/ui/teacher/quizContext';
import { RichText } from '@/ui/widgets/RichText';
import { unsavedWork } from '@/ui/editing/saving';
import { useNarrow } from '@/ui/widgets/useNarrow';
import { InHand } from './Margin';
import { Notes } from './Notes';
import type { MarginState } from './useMarginState';
import { QuestionInHand } from './QuestionInHand';

interface Props {
  readonly record: QuestionRecord;
  readonly number: number;
  readonly inHand: boolean;
  readonly onTake: () => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onRemove: () => void;
  readonly onDuplicate: () => void;
  readonly margin: MarginState;
}

function Folded({ record, onTake }: Pick<Props, 'record' | 'onTake'>) {
  // What could not be stored is shown all the same: it is in this tab, and waits to be tried again.
  const { question } = (unsavedWork().get(`question:${record.id}`) as Placed | undefined) ?? record;
  const { quiz } = useQuiz();
  const { Folded: Answers } = useFaces(question.kind);
  return (
    <div className="cursor-text px-9 py-4 max-sm:px-4" onClick={onTake}>
      {isEmptyText(question.text) ? (
        <p className="prose-paper text-soft">Question without text</p>
      ) : (
        <RichText text={question.text} />
      )}
      <Answers question={question} context={readingOf(question, quiz.content)} />
    </div>
  );
}

interface EdgeProps extends Pick<Props, 'record' | 'number' | 'inHand' | 'onTake' | 'onMove'> {
  readonly sortable: ReturnType<typeof useSortable>;
  readonly problem: string | undefined;
}

/** Number, points and grip of a question, in the paper's left edge. */
function Edge({ record, number, inHand, onTake, onMove, sortable, problem }: EdgeProps) {
  const { quiz } = useQuiz();
  const worth = pointsOfPlaced(record, quiz.content);
  return (
    <div className="absolute top-4 -left-[72px] flex w-[62px] items-start justify-end gap-0.5 max-sm:static max-sm:w-auto max-sm:justify-start max-sm:px-4 max-sm:pt-3">
      <button
        type="button"
        className="icon-button !min-w-[24px] touch-none cursor-grab"
        {...sortable.attributes}
        {...sortable.listeners}
        aria-label={`Move question ${number}`}
        title="Drag, or use the arrow keys"
        onKeyDown={(event) => {
          if (event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
          event.preventDefault();
          onMove(event.key === 'ArrowUp' ? -1 : 1);
        }}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <div className="text-right max-sm:flex max-sm:items-baseline max-sm:gap-2">
        <button
          type="button"
          className="figures block min-h-6 w-full min-w-7 cursor-pointer text-right font-title text-[16px] font-semibold hover:text-petrol"
          aria-expanded={inHand}
          aria-label={`Question ${number}`}
          onClick={onTake}
        >
          {number}
        </button>
        {kindOf(record.question).asks && (
          <span className="caption figures block leading-tight whitespace-nowrap">
            {points(worth)} {pointWord(worth, 'pt')}
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

/** One question on the paper: its number and points in the left edge, folded as students read it, or in hand; in the margin what is known of it. */
export function PaperQuestion(props: Props) {
  const { record, number, inHand, onTake, onRemove, onDuplicate, margin } = props;
  const sortable = useSortable({ id: record.id });
  const { question } = record;
  const problems = margin.ready.get(record.id);
  const narrow = useNarrow('tablet');
  useIntoView(inHand, sortable.node);
  const style = { transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition };
  return (
    <li
      ref={sortable.setNodeRef}
      style={style}
      className={`paper-row beneath-head relative ${sortable.isDragging ? 'z-10 shadow-lg' : ''}`}
    >
      <div className="relative border-b border-line bg-paper">
        <Edge {...props} sortable={sortable} problem={problems?.[0]} />
        <Suspense
          fallback={
            <div className="min-h-24 px-9 py-4 max-sm:px-4">
              <RichText text={question.text} />
            </div>
          }
        >
          {inHand ? (
            <QuestionInHand record={record} number={number} onRemove={onRemove} onDuplicate={onDuplicate} />
          ) : (
            <Folded record={record} onTake={onTake} />
          )}
        </Suspense>
      </div>
      {!narrow && inHand && (
        <div className="paper-margin">
          <aside aria-label="Margin" className="paper-margin-stays">
            <InHand record={record} number={number} margin={margin} />
          </aside>
        </div>
      )}
      {!narrow && !inHand && (
        <div className="paper-margin">
          <Notes
            question={question}
            number={number}
            spreads={margin.spreads}
            problems={problems}
            kept={margin.keptOf(record.id)}
          />
        </div>
      )}
    </li>
  );
}
