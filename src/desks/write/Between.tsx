import { use, useState } from 'react';
import { pageStarts } from '@/core/quiz/pages';
import { questionsIn } from '@/core/quiz/section';
import { setPageBreak } from '@/store/quiz/edits';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { KindChooser } from './KindChooser';
import { PaperNow, type QuestionActs } from './PaperNow';

interface Props {
  readonly id: string;
  /** What the question is called that stands before: *question 3*. */
  readonly called: string;
  readonly acts: QuestionActs;
}

/** Between two questions: presses that add one here, or let a page begin. They show where the pointer or the focus is. */
export function Between({ id, called, acts }: Props) {
  const now = use(PaperNow);
  const [choosing, setChoosing] = useState(false);
  const order = now?.content.order ?? [];
  const next = order[order.indexOf(id) + 1];
  const record = next === undefined ? undefined : now?.byId.get(next);
  if (next === undefined) return null;
  const begins = now?.content.pages === 'breaks' && record?.placement.startsPage === true;
  const canBreak = now?.content.pages !== 'each' && record !== undefined && !begins;
  return (
    <>
      <div className={`between on-screen ${choosing ? 'between-open' : ''}`}>
        <button
          type="button"
          className="row-tool"
          aria-expanded={choosing}
          onClick={() => setChoosing(!choosing)}
        >
          Add a question here<span className="sr-only"> after {called}</span>
        </button>
        {canBreak && (
          <button type="button" className="row-tool" onClick={() => acts.breakAfter(id)}>
            Page break<span className="sr-only"> after {called}</span>
          </button>
        )}
      </div>
      {choosing && (
        <div className="border-t border-hair bg-paper px-9 py-3 max-sm:px-4">
          <KindChooser
            first
            onChoose={(kind) => {
              setChoosing(false);
              acts.addAfter(id, kind);
            }}
          />
        </div>
      )}
    </>
  );
}

interface LineProps {
  readonly id: string;
  readonly called: string;
}

/** The line at which a page begins, with the press that removes it. */
export function PageLine({ id, called }: LineProps) {
  const { quiz } = useQuiz();
  const now = use(PaperNow);
  const record = now?.byId.get(id);
  if (now?.content.pages !== 'breaks' || !record?.placement.startsPage) return null;
  const isAtBreak = (one: string) => now.byId.get(one)?.placement.startsPage === true;
  const starts = pageStarts(now.content, questionsIn(now.content), isAtBreak);
  const remove = async () => {
    const step = await setPageBreak(quiz.id, id, false);
    notify('The page goes on here', { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  };
  return (
    <p className="page-line caption">
      Page {starts.indexOf(id) + 1} begins{' '}
      <button type="button" className="row-tool on-screen" onClick={() => run(remove)}>
        Remove<span className="sr-only"> the page break before {called}</span>
      </button>
    </p>
  );
}
