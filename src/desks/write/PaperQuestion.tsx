import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { Suspense, useEffect, useRef } from 'react';
import { kindOf } from '@/core/kinds';
import type { Placed } from '@/core/quiz/placement';
import { readingOf } from '@/core/scoring/markAttempt';
import { pointsOfPlaced } from '@/core/quiz/points';
import { isEmptyText } from '@/core/content/plainText';
import { useFaces } from '@/kinds/write';
import type { QuestionRecord } from '@/store/records/db';
import { points } from '@/ui/words/figures';
import { useQuiz } from '@/ui/teacher/quizContext';
import { RichText } from '@/ui/widgets/RichText';
import { unsavedWork } from '@/ui/editing/saving';
import { QuestionInHand } from './QuestionInHand';

interface Props {
  readonly record: QuestionRecord;
  readonly number: number;
  readonly inHand: boolean;
  readonly onTake: () => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onRemove: () => void;
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

/** One question on the paper: its number and points in the left edge, folded as students read it, or in hand. */
export function PaperQuestion({ record, number, inHand, onTake, onMove, onRemove }: Props) {
  const { quiz } = useQuiz();
  const sortable = useSortable({ id: record.id });
  const { question } = record;
  const [problem] = kindOf(question).problems(question, readingOf(question, quiz.content));
  const value = points(pointsOfPlaced(record, quiz.content));
  const taken = useRef(inHand);
  const { node } = sortable;
  useEffect(() => {
    const newly = inHand && !taken.current;
    taken.current = inHand;
    if (!newly) return;
    const show = () => node.current?.scrollIntoView({ block: 'nearest' });
    show();
    // Once more when what is loaded for it has found its height.
    const again = setTimeout(show, 300);
    return () => clearTimeout(again);
  }, [inHand, node]);
  const style = { transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition };
  return (
    <li
      ref={sortable.setNodeRef}
      style={style}
      className={`relative scroll-mt-20 border-b border-line ${sortable.isDragging ? 'z-10 bg-paper shadow-lg' : ''}`}
    >
      <div className="absolute top-4 -left-[72px] flex w-[62px] items-start justify-end gap-0.5 max-sm:static max-sm:w-auto max-sm:justify-start max-sm:px-4 max-sm:pt-3">
        <button
          type="button"
          className="icon-button !min-w-6 touch-none cursor-grab"
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
          <span className="caption figures block leading-tight whitespace-nowrap">
            {value} {value === '1' ? 'pt' : 'pts'}
          </span>
          {problem && (
            <span className="block text-[12px] leading-tight font-semibold text-saffron-text">
              {problem.text}
            </span>
          )}
        </div>
      </div>
      <Suspense
        fallback={
          <div className="min-h-24 px-9 py-4 max-sm:px-4">
            <RichText text={question.text} />
          </div>
        }
      >
        {inHand ? (
          <QuestionInHand record={record} number={number} onRemove={onRemove} />
        ) : (
          <Folded record={record} onTake={onTake} />
        )}
      </Suspense>
    </li>
  );
}
