import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical } from '@/ui/widgets/icons';
import { useRef } from 'react';
import { flushSync } from 'react-dom';
import type { OrderFace } from '@/core/kinds/order/schema';
import { move } from '@/core/quiz/order';
import { useText, useTold } from '@/ui/told/useTold';
import type { SitProps } from '../faces';
import { useSaying } from '../shared/sit/useSaying';
import { ClearAnswer, PickWords, useSpokenName } from '../shared/PickLabel';

type Item = OrderFace['items'][number];

interface RowProps {
  readonly item: Item;
  readonly at: number;
  readonly of: number;
  readonly onMove: (to: number, by: 'up' | 'down') => void;
}

/** One item in its place: dragged by its grip, or moved by its arrows. */
function ItemRow({ item, at, of, onMove }: RowProps) {
  const sortable = useSortable({ id: item.id });
  const style = { transform: CSS.Translate.toString(sortable.transform), transition: sortable.transition };
  const name = useSpokenName()(item);
  const { ordering } = useTold();
  return (
    <li
      ref={sortable.setNodeRef}
      style={style}
      data-item={item.id}
      {...useText()}
      className={`order-row mb-2 flex min-h-12 items-center gap-1 rounded border border-[var(--field)] bg-paper ${
        sortable.isDragging ? 'relative z-10 shadow-lg' : ''
      }`}
    >
      <span
        className="inline-flex min-h-12 cursor-grab touch-none items-center px-2.5 text-soft"
        {...sortable.listeners}
        aria-hidden
      >
        <GripVertical size={18} />
      </span>
      <span className="figures w-6 text-soft" aria-hidden>
        {at + 1}
      </span>
      <span className="min-w-0 flex-1 py-2 wrap-anywhere">
        <PickWords {...item} />
      </span>
      <button
        type="button"
        className="icon-button min-h-11 min-w-10"
        data-way="up"
        aria-label={ordering.up(name, at + 1, of)}
        disabled={at === 0}
        onClick={() => onMove(at - 1, 'up')}
      >
        <ArrowUp size={18} aria-hidden />
      </button>
      <button
        type="button"
        className="icon-button min-h-11 min-w-10"
        data-way="down"
        aria-label={ordering.down(name, at + 1, of)}
        disabled={at === of - 1}
        onClick={() => onMove(at + 1, 'down')}
      >
        <ArrowDown size={18} aria-hidden />
      </button>
    </li>
  );
}

/** The items as they stand now: in the places given, those without a place behind. */
function inOrder(items: readonly Item[], places: readonly (string | null)[]): Item[] {
  const placed = places.flatMap((id) => items.find((item) => item.id === id) ?? []);
  return [...placed, ...items.filter((item) => !placed.includes(item))];
}

/** Items are put in order. As they were shuffled they are no answer, until one is moved or the order is confirmed. */
export default function OrderSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const list = useRef<HTMLOListElement>(null);
  const { say, said } = useSaying();
  const { ordering } = useTold();
  const spokenName = useSpokenName();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  if (face.kind !== 'order') return null;
  const given = answer?.kind === 'order' && answer.touched ? answer : null;
  const items = inOrder(face.items, given?.places ?? []);
  const put = (next: readonly Item[]) =>
    onAnswer({ kind: 'order', places: next.map(({ id }) => id), touched: true });
  const moveTo = (item: Item, to: number) => {
    put(move(items, items.indexOf(item), to));
    say(ordering.now(spokenName(item), to + 1, items.length));
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const item = items.find(({ id }) => id === active.id);
    const to = items.findIndex(({ id }) => id === over?.id);
    if (item && to >= 0 && items.indexOf(item) !== to) moveTo(item, to);
  };
  /** The arrow that was pressed keeps the focus; at an end of the list the other one takes it. */
  const byArrow = (item: Item) => (to: number, way: 'up' | 'down') => {
    flushSync(() => moveTo(item, to));
    const row = list.current?.querySelector(`[data-item="${item.id}"]`);
    const pressed = row?.querySelector<HTMLButtonElement>(`[data-way="${way}"]`);
    const other = row?.querySelector<HTMLButtonElement>(`[data-way="${way === 'up' ? 'down' : 'up'}"]`);
    (pressed?.disabled ? other : pressed)?.focus();
  };
  return (
    <div role="group" aria-labelledby={labelledBy}>
      <p className="caption mb-2">
        {ordering.how}
        {!given && ` ${ordering.untouched}`}
      </p>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
        <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol ref={list}>
            {items.map((item, at) => (
              <ItemRow key={item.id} item={item} at={at} of={items.length} onMove={byArrow(item)} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {said}
      {!given && (
        <button
          type="button"
          className="btn btn-outline h-11 px-4 text-[15px]"
          onClick={() => {
            flushSync(() => put(items));
            say(ordering.left);
            list.current?.parentElement?.querySelector<HTMLElement>('.link-text')?.focus();
          }}
        >
          {ordering.leave}
        </button>
      )}
      <ClearAnswer shown={given !== null} onClear={() => onAnswer(null)} />
    </div>
  );
}
