import {
  DndContext,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { move } from '@/core/quiz/order';
import type { QuizRecord } from '@/store/records/db';
import { arrange } from '@/store/quiz/shelf';
import { notify } from '@/ui/widgets/press/notices';
import { useClasses } from '@/ui/teacher/useClasses';
import { run } from '@/ui/widgets/press/press';
import { setToWords } from '@/ui/words/setToWords';
import { ShelfRow } from './ShelfRow';

interface Props {
  readonly quizzes: readonly QuizRecord[];
  readonly states: ReadonlyMap<string, string>;
  /** The own order can be changed while nothing is filtered out. */
  readonly movable: boolean;
}

/** The quizzes as rows in the teacher's own order. */
export function ShelfList({ quizzes, states, movable }: Props) {
  const ids = quizzes.map((quiz) => quiz.id);
  const classes = useClasses() ?? [];
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const put = async (id: string, to: number) => {
    if (to < 0 || to >= ids.length) return;
    await arrange(move(ids, ids.indexOf(id), to));
    notify(`Now in place ${to + 1} of ${ids.length}`);
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) run(() => put(String(active.id), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={!movable}>
        <ul className="bg-paper">
          {quizzes.map((quiz, index) => (
            <ShelfRow
              key={quiz.id}
              quiz={quiz}
              setTo={setToWords(quiz.standing.setTo, classes)}
              state={states.get(quiz.id) ?? ''}
              movable={movable && quizzes.length > 1}
              onMove={(by) => run(() => put(quiz.id, index + by))}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}
