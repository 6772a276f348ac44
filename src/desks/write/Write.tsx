import {
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { KIND_NAMES, kindOf, type KindName } from '@/core/kinds';
import { move } from '@/core/quiz/order';
import { asBegun, namesOf, numbersOf } from '@/core/quiz/numbers';
import { paperFrom } from '@/core/quiz/paper';
import type { QuizContent } from '@/core/quiz/quiz';
import { questionsIn } from '@/core/quiz/section';
import {
  addQuestion,
  addSection,
  copyQuestions,
  removeQuestion,
  removeSection,
  saveContent,
  setPageBreak,
} from '@/store/quiz/edits';
import { loadFaces, useAllFaces } from '@/kinds/write';
import { undoStep } from '@/store/undo/undo';
import { holdKeys } from '@/ui/editing/heldKeys';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { useContentField } from '@/ui/teacher/useContentField';
import { askWrite, doneInWrite, useAskedOfWrite } from '@/ui/teacher/askedOfWrite';
import { useQuiz } from '@/ui/teacher/quizContext';
import { CopyDialog } from './CopyDialog';
import { DeletedElsewhere } from './DeletedElsewhere';
import { Heading } from './Heading';
import { KindChooser } from './KindChooser';
import { MarginSheet } from './margin/Margin';
import { PaperNow, type QuestionActs } from './PaperNow';
import { PaperQuestion } from './PaperQuestion';
import { PaperSection } from './PaperSection';
import { useMarginState, type HandDraft } from './margin/useMarginState';
import { WholePaper } from './margin/WholePaper';

interface AddProps {
  readonly last: KindName | null;
  readonly onAdd: (kind: KindName) => void;
  readonly onCopy: () => void;
  readonly onSection: () => void;
  /** Whether a key or the palette asks for the kinds. */
  readonly asked: boolean;
}

/** The line at which the paper goes on: the next question takes kind and rules of the one before, or another kind. */
function NextQuestion({ last, onAdd, onCopy, onSection, asked }: AddProps) {
  const [choosing, setChoosing] = useState(false);
  const [times, setTimes] = useState(0);
  useEffect(() => {
    if (!asked) return;
    setChoosing(true);
    setTimes((before) => before + 1);
    doneInWrite();
  }, [asked]);
  const add = (kind: KindName) => {
    setChoosing(false);
    onAdd(kind);
  };
  return (
    <div className="px-9 py-6 max-sm:px-4">
      {last ? (
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <button type="button" className="btn btn-primary btn-sm h-9" onClick={() => add(last)}>
            Next question: {kindOf({ kind: last }).title.toLowerCase()}
          </button>
          <button
            type="button"
            className="link-text min-h-9 cursor-pointer"
            aria-expanded={choosing}
            onClick={() => setChoosing(!choosing)}
          >
            or another kind
          </button>
          <button type="button" className="link-text ml-auto min-h-9 cursor-pointer" onClick={onSection}>
            Add a section
          </button>
          <button type="button" className="link-text min-h-9 cursor-pointer" onClick={onCopy}>
            Copy questions…
          </button>
        </div>
      ) : (
        <h2 className="text-[17px]">What kind is the first question?</h2>
      )}
      {(choosing || !last) && (
        <div className="mt-3">
          <KindChooser key={times} first={choosing} onChoose={add} />
        </div>
      )}
    </div>
  );
}

/** Questions differ much in height: the one whose upper edge is nearest is meant. */
const closestTop: CollisionDetection = ({ collisionRect, droppableRects, droppableContainers }) =>
  droppableContainers
    .flatMap((droppableContainer) => {
      const rect = droppableRects.get(droppableContainer.id);
      if (!rect) return [];
      const value = Math.abs(rect.top - collisionRect.top);
      return [{ id: droppableContainer.id, data: { droppableContainer, value } }];
    })
    .sort((a, b) => a.data.value - b.data.value);

/** Of more questions than this, those out of sight are not drawn. */
const FEW = 60;

/** What a screen reader hears while a question is moved. */
function spokenMoves(order: readonly string[], acts: QuestionActs): Announcements {
  const called = (id: string | number) => acts.called(String(id));
  const place = (id: string | number) => `${order.indexOf(String(id)) + 1} of ${order.length}`;
  return {
    onDragStart: ({ active }) => `${called(active.id)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${called(active.id)} would come to place ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over ? `${called(active.id)} is now at place ${place(over.id)}.` : 'It stays where it was.',
    onDragCancel: () => 'It stays where it was.',
  };
}

/** The same functions each time, which do what those of the last drawing do. */
function useSteady<Acts extends object>(acts: Acts): Acts {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  const [steady] = useState(
    () =>
      Object.fromEntries(
        Object.keys(acts).map((name) => [
          name,
          (...given: unknown[]) =>
            (latest.current as Record<string, (...all: unknown[]) => unknown>)[name]?.(...given),
        ]),
      ) as Acts,
  );
  return steady;
}

/** The question's own element, in hand or folded. */
const rowOf = (id: string): HTMLElement | null =>
  document.querySelector<HTMLElement>(`[data-question="${CSS.escape(id)}"]`);

/** Puts the focus into the text of a question as soon as it is in hand: who came to it by keys goes on there. */
function focusIn(id: string): void {
  let tries = 0;
  const focus = () => {
    const field = rowOf(id)?.querySelector<HTMLElement>('section .tiptap');
    if (field) field.focus();
    else if (tries++ < 120) requestAnimationFrame(focus);
  };
  requestAnimationFrame(focus);
}

/**
 * Alt and an arrow go to the next or previous question. Inside the question in hand, Alt Shift and an arrow move it, Alt Shift D
 * duplicates it and Alt Shift Delete deletes it; elsewhere they do nothing to what may not be seen. Alt Shift N shows the kinds.
 */
function useQuestionKeys(questions: readonly string[], hand: string | null, acts: QuestionActs): void {
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (!event.altKey) return;
      if (event.shiftKey && event.code === 'KeyN') {
        event.preventDefault();
        askWrite({ what: 'kinds' });
        return;
      }
      if (hand === null) return;
      const inside = event.target instanceof Node && rowOf(hand)?.contains(event.target) === true;
      const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] as -1 | 1 | undefined;
      const act =
        event.shiftKey && event.code === 'KeyD'
          ? acts.duplicate
          : event.shiftKey && event.key === 'Delete'
            ? acts.remove
            : null;
      if (!act && by === undefined) return;
      if (event.shiftKey && !inside) return;
      event.preventDefault();
      if (act) act(hand);
      else if (event.shiftKey && by) acts.moveBy(hand, by);
      else {
        const target = questions[questions.indexOf(hand) + (by ?? 0)];
        if (target === undefined) return;
        acts.take(target);
        focusIn(target);
      }
    };
    addEventListener('keydown', keys);
    return () => removeEventListener('keydown', keys);
  });
}

/** What can be done with the questions of the paper; the one in hand follows. */
function useActs(
  { hand, newSection }: { readonly hand: string | null; readonly newSection: string | null },
  onHand: (id: string | null) => void,
  onSection: (id: string) => void,
) {
  const { quiz, questions } = useQuiz();
  const { order } = quiz.content;
  const called = (id: string, content = quiz.content): string =>
    asBegun(namesOf(paperFrom(content, questions).questions).get(id) ?? 'the section');
  const reorder = async (id: string, to: number) => {
    const next = move(order, order.indexOf(id), to);
    const saved = await saveContent(
      quiz.id,
      { order: next },
      { order },
      { label: 'Move a question', field: '' },
    );
    if (!saved.ok) notify('The order was changed in another tab just now: move it again');
    else if (order.indexOf(id) !== to && next.includes(id)) {
      const before = called(id);
      const after = called(id, { ...quiz.content, order: next });
      notify(before === after ? `${before} was moved` : `${before} is now ${after.toLowerCase()}`);
    }
  };
  // At the foot, unless a section was just added: then in that.
  const add = async (kind: KindName, after: string | null = newSection) => {
    holdKeys('Text of the new question');
    const [id] = await Promise.all([addQuestion(quiz.id, kind, after), loadFaces(kind)]);
    onHand(id);
  };
  const remove = async (id: string) => {
    const at = order.indexOf(id);
    const words = called(id);
    const isSection = quiz.content.sections.some((one) => one.id === id);
    const step = await (isSection ? removeSection : removeQuestion)(quiz.id, id);
    const next = order[at + 1] ?? order[at - 1] ?? null;
    if (!isSection) {
      onHand(next);
      if (next) focusIn(next);
    }
    if (step === null) return;
    const restore = async () => {
      const undone = await undoStep(quiz.id, step);
      if (undone === 'undone') onHand(isSection ? hand : id);
      else notify('It was changed again since: use Undo, step by step');
    };
    notify(isSection ? 'The section was deleted; its questions stay' : `${words} deleted`, {
      label: 'Undo',
      run: () => run(restore),
    });
  };
  const duplicate = async (id: string) => {
    const { ids, step } = await copyQuestions(quiz.id, [id], quiz.id, id);
    const [made] = ids;
    if (made === undefined || step === null) return;
    onHand(made);
    focusIn(made);
    notify(`${called(id)} duplicated`, {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
  };
  /** Lets a page begin with a question. */
  const breakPage = async (id: string | undefined) => {
    if (id === undefined) return;
    const step = await setPageBreak(quiz.id, id, true);
    notify('A new page begins here', { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  };
  const section = async () => {
    holdKeys('Heading of the new section');
    onSection(await addSection(quiz.id, hand));
  };
  return { reorder, add, remove, duplicate, section, breakPage, called };
}

interface QuestionsProps {
  readonly order: readonly string[];
  readonly sections: QuizContent['sections'];
  /** The section that was just added. */
  readonly newSection: string | null;
  readonly hand: string | null;
  readonly acts: QuestionActs;
}

/** The questions in their order, dragged by their handles: the list is drawn again only when the order changes, or the hand. */
const Questions = memo(function Questions({ order, sections, newSection, hand, acts }: QuestionsProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) acts.moveTo(String(active.id), order.indexOf(String(over.id)));
  };
  const items = useMemo(() => [...order], [order]);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestTop}
      onDragEnd={dropped}
      accessibility={{ announcements: spokenMoves(order, acts) }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ol>
          {order.map((id) => {
            return sections.some((one) => one.id === id) ? (
              <PaperSection key={id} id={id} isNew={id === newSection} acts={acts} />
            ) : (
              <PaperQuestion key={id} id={id} inHand={id === hand} many={order.length > FEW} acts={acts} />
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
});

/** The kinds that no question has yet are fetched once the paper is there, so that the next one is drawn at its press. */
function useOtherFaces(): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const kind of KIND_NAMES) loadFaces(kind).catch(() => undefined);
    }, 500);
    return () => clearTimeout(timer);
  }, []);
}

/** The whole paper as one page, with the margin in which computed marks stand. All of it is there before anything can be pressed. */
export default function Write() {
  const { questions } = useQuiz();
  const [kinds] = useState(() => questions.map(({ question }) => question.kind));
  useAllFaces(kinds);
  return <Paper />;
}

function Paper() {
  const { quiz, questions } = useQuiz();
  useOtherFaces();
  const [hand, setHand] = useState<string | null>(questions[0]?.id ?? null);
  const order = quiz.content.order;
  const inHand = questions.find((record) => record.id === hand) ?? null;
  const draft: HandDraft = useRef(null);
  const margin = useMarginState(draft);
  const narrow = useNarrow('tablet');
  const [newSection, setNewSection] = useState<string | null>(null);
  const take = (id: string | null) => {
    setNewSection(null);
    setHand(id);
  };
  const asked = useAskedOfWrite();
  useEffect(() => {
    if (asked?.what !== 'question' || !questions.some(({ id }) => id === asked.id)) return;
    doneInWrite();
    setNewSection(null);
    setHand(asked.id);
  }, [asked, questions]);
  const sections = useContentField('sections', 'Edit a section');
  const counted = useMemo(() => {
    const all = paperFrom(quiz.content, questions).questions;
    return {
      numbers: numbersOf(all),
      names: namesOf(all),
    };
  }, [quiz.content, questions]);
  const { reorder, add, remove, duplicate, section, breakPage, called } = useActs(
    { hand, newSection },
    take,
    setNewSection,
  );
  const acts = useSteady<QuestionActs>({
    take,
    moveBy: (id, by) => run(() => reorder(id, order.indexOf(id) + by)),
    moveTo: (id, to) => run(() => reorder(id, to)),
    remove: (id) => run(() => remove(id)),
    duplicate: (id) => run(() => duplicate(id)),
    addAfter: (id, kind) => run(() => add(kind, id)),
    breakAfter: (id) => run(() => breakPage(order[order.indexOf(id) + 1])),
    called,
  });
  const lastId = questionsIn(quiz.content).at(-1);
  const lastKind = questions.find(({ id }) => id === lastId)?.question.kind ?? null;
  const [copying, setCopying] = useState(false);
  const now = useMemo(
    () => ({
      byId: new Map(questions.map((one) => [one.id, one])),
      content: quiz.content,
      ...counted,
      margin,
      sections,
      draft,
    }),
    [questions, quiz.content, counted, margin, sections],
  );
  useQuestionKeys(questionsIn(quiz.content), hand, acts);

  return (
    <main className="write-page">
      <div className="paper-row">
        <div className="bg-paper">
          <Heading />
        </div>
        {!narrow && (
          <div className="paper-margin">
            <div className="pt-7 pb-4">
              <WholePaper />
            </div>
          </div>
        )}
      </div>
      <div className="paper-row">
        <div className="bg-paper">
          <DeletedElsewhere hand={hand} there={inHand !== null} onRestored={setHand} />
        </div>
      </div>
      <PaperNow value={now}>
        <Questions
          order={order}
          sections={quiz.content.sections}
          newSection={newSection}
          hand={hand}
          acts={acts}
        />
      </PaperNow>
      <div className="paper-row">
        <div className="bg-paper">
          <NextQuestion
            last={lastKind}
            onAdd={(kind) => run(() => add(kind))}
            onCopy={() => setCopying(true)}
            onSection={() => run(section)}
            asked={asked?.what === 'kinds'}
          />
        </div>
      </div>
      {copying && <CopyDialog hand={hand} onClose={() => setCopying(false)} onCopied={setHand} />}
      {narrow && (
        <MarginSheet
          record={inHand}
          called={(inHand && counted.names.get(inHand.id)) ?? ''}
          margin={margin}
        />
      )}
    </main>
  );
}
