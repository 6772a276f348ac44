import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from '@/ui/widgets/icons';
import { isOpen, isOver, isTakenBack, wholeSpan } from '@/core/quiz/times/window';
import { now } from '@/device/clock';
import type { QuizRecord } from '@/store/records/db';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { run } from '@/ui/widgets/press/press';
import { failureInShort } from '@/ui/words/failureWords';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { isDemo } from '@/store/class/classes';
import { setDeleted } from '@/store/quiz/shelf';
import { ShelfMenu } from './ShelfMenu';
import { viewsDependOn } from '@/core/checking/dependsOn';
import type { ClassDesk } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

function stands({ standing, content: { zone } }: QuizRecord): { word: string; detail: string } {
  const opening = wholeSpan(standing);
  if (!opening) return { word: 'Draft', detail: 'never opened' };
  if (isTakenBack(standing.pauses, now())) return { word: 'Paused', detail: 'nobody can take it for now' };
  if (isOpen(opening, now())) {
    return {
      word: 'Open',
      detail: opening.until === null ? 'no closing time' : `until ${dayAndTimeIn(opening.until, zone)}`,
    };
  }
  if (isOver(opening, now()))
    return { word: 'Closed', detail: `on ${dayAndTimeIn(opening.until ?? 0, zone)}` };
  return { word: 'Scheduled', detail: `opens on ${dayAndTimeIn(opening.from, zone)}` };
}

interface Props {
  readonly quiz: QuizRecord;
  /** The classes and groups that take it; empty for nobody. */
  readonly setTo: string;
  /** Changes whenever the counts must be made again. */
  readonly state: string;
  readonly movable: boolean;
  readonly onMove: (by: -1 | 1) => void;
}

interface CountsProps {
  readonly quiz: QuizRecord;
  /** null until they have been counted. */
  readonly work: Awaited<ReturnType<ClassDesk['quizCounts']>> | null;
}

/** How many have handed in; of a draft, for how many it is. */
function HandedIn({ quiz, work }: CountsProps) {
  if (!work) return <p className="text-soft">…</p>;
  if (!wholeSpan(quiz.standing) && work.finished === 0)
    return <p className="figures text-soft">for {count(work.expected, 'student')}</p>;
  return (
    <p className="figures">
      <a className="hover:underline" href={`/quiz/?id=${encodeURIComponent(quiz.id)}#tray`}>
        {work.finished} of {work.expected} handed in
      </a>
      {work.finished > 0 && (
        <span className="caption block">
          {work.shown === 0 ? 'no results shown yet' : `results shown to ${work.shown}`}
        </span>
      )}
    </p>
  );
}

/** What the teacher has to do. */
function ToDo({ quiz, work }: CountsProps) {
  const here = `/quiz/?id=${encodeURIComponent(quiz.id)}`;
  const urgent = 'figures font-semibold text-saffron-text hover:underline';
  if (work && work.waiting > 0)
    return (
      <p>
        <a className={urgent} href={`${here}#check`}>
          {count(work.waiting, 'answer')} to mark
        </a>
      </p>
    );
  if (work && work.keyless > 0)
    return (
      <p>
        <a className={urgent} href={`${here}#write`}>
          {count(work.keyless, 'question')} without a key
        </a>
      </p>
    );
  // Its place stays, so that what stands behind it keeps its own.
  return work && work.finished > 0 ? (
    <p className="text-soft">all marked</p>
  ) : (
    <span className="max-md:hidden" />
  );
}

/** What the quiz is called, who takes it, and what it is about. */
const Title = ({ quiz, setTo, work }: Pick<Props, 'quiz' | 'setTo'> & CountsProps) => (
  <div className="min-w-0">
    <a
      className="font-title text-[17px] font-semibold hover:underline"
      href={`/quiz/?id=${encodeURIComponent(quiz.id)}#write`}
    >
      {quiz.content.title || 'Untitled quiz'}
    </a>
    <p className="caption truncate">
      {[isDemo(quiz) ? 'Demo' : '', setTo, quiz.content.topic, work ? count(work.questions, 'question') : '']
        .filter(Boolean)
        .join(' · ')}
    </p>
  </div>
);

/** One quiz on the Shelf: its name, where it stands, how many have handed in, what waits. */
export function ShelfRow({ quiz, setTo, state, movable, onMove }: Props) {
  const sortable = useSortable({ id: quiz.id });
  const style = { transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition };
  const { id } = quiz;
  const head = viewsDependOn(quiz);
  // Where the quiz was removed meanwhile its row goes as well.
  const { value: work, failure, again } = useQuery(() => classWorker().quizCounts(id), [id, state, head]);
  const { word, detail } = stands(quiz);
  return (
    <li
      ref={sortable.setNodeRef}
      style={style}
      className="grid grid-cols-[minmax(0,1fr)_250px_150px_160px_30px] items-baseline gap-x-6 gap-y-1 border-b border-line bg-paper py-4 pr-4 pl-3 last:border-b-0 hover:bg-base-200 max-md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_30px] max-md:gap-x-3 max-md:gap-y-0.5 max-md:pr-2"
    >
      <div className="flex min-w-0 items-start gap-1 max-md:col-span-2">
        <button
          type="button"
          className={`icon-button touch-none ${movable ? 'cursor-grab' : 'invisible'}`}
          {...sortable.attributes}
          {...sortable.listeners}
          aria-label={`Move ${quiz.content.title || 'Untitled quiz'}`}
          title="Drag, or use the arrow keys"
          onKeyDown={(event) => {
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            event.preventDefault();
            onMove(event.key === 'ArrowUp' ? -1 : 1);
          }}
        >
          <GripVertical size={14} aria-hidden />
        </button>
        <Title quiz={quiz} setTo={setTo} work={work} />
      </div>
      <p className="max-md:col-span-3 max-md:pl-[30px]">
        <span className="font-semibold">{word}</span> <span className="caption">{detail}</span>
      </p>
      <div className="max-md:col-span-3 max-md:pl-[30px]">
        {failure && !work ? (
          <p className="text-[14px] text-saffron-text" role="status">
            not counted: {failureInShort(failure)}
          </p>
        ) : (
          <HandedIn quiz={quiz} work={work} />
        )}
      </div>
      <div className="max-md:col-span-3 max-md:pl-[30px] empty:hidden">
        {failure && !work ? (
          <button type="button" className="link-text cursor-pointer" onClick={again}>
            Try again
          </button>
        ) : (
          <ToDo quiz={quiz} work={work} />
        )}
      </div>
      {quiz.deletedAt === null ? (
        <span className="max-md:col-start-3 max-md:row-start-1">
          <ShelfMenu quiz={quiz} />
        </span>
      ) : (
        <button
          type="button"
          className="link-text cursor-pointer max-md:col-span-3"
          onClick={() => run(() => setDeleted(quiz.id, 'back'))}
        >
          Restore
        </button>
      )}
    </li>
  );
}
