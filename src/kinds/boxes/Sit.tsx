import { valueAt } from '@/core/figures/valueAt';
import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { CSS } from '@dnd-kit/utilities';
import { useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import type { BoxesFace } from '@/core/kinds/boxes/schema';
import { NONE } from '@/core/kinds/shared/none';
import { useSpoken, Words } from '@/ui/widgets/paper/Formula';
import type { SitProps } from '../faces';
import { useText, useTold } from '@/ui/told/useTold';
import { useSaying } from '../shared/sit/useSaying';
import { ChooseFrom } from '../shared/sit/ChooseFrom';
import { PickWords, useSpokenName } from '../shared/PickLabel';

type Item = BoxesFace['items'][number];

interface ChipProps {
  readonly item: Item;
  /** Where it is now, in words. */
  readonly where: string;
  readonly open: boolean;
  readonly onPress: () => void;
}

/** One thing to sort: dragged into a box, or pressed to choose one. */
function Chip({ item, where, open, onPress }: ChipProps) {
  const drag = useDraggable({ id: item.id });
  const name = useSpokenName()(item);
  return (
    <button
      ref={drag.setNodeRef}
      type="button"
      data-item={item.id}
      style={{ transform: CSS.Translate.toString(drag.transform) }}
      className={`min-h-11 cursor-grab touch-manipulation rounded border bg-paper px-3.5 py-1.5 text-left ${
        open ? 'border-ink ring-1 ring-ink' : 'border-[var(--field)]'
      } ${drag.isDragging ? 'relative z-10 shadow-lg' : ''}`}
      aria-expanded={open}
      {...drag.listeners}
      onClick={onPress}
    >
      <span className="sr-only">
        {name}: {where}
      </span>
      <span {...useText()} aria-hidden>
        <PickWords {...item} />
      </span>
    </button>
  );
}

interface PlaceProps {
  readonly id: string;
  readonly title: string;
  readonly dashed?: boolean;
  readonly children: ReactNode;
}

/** A box, into which things are dropped. */
function BoxPlace({ id, title, dashed = false, children }: PlaceProps) {
  const drop = useDroppable({ id });
  const own = useText();
  return (
    <section
      ref={drop.setNodeRef}
      aria-label={useSpoken()(title)}
      className={`rounded border px-3 pt-1.5 pb-3 ${dashed ? 'border-dashed' : ''} ${
        drop.isOver ? 'border-ink ring-1 ring-ink' : 'border-[var(--field)]'
      }`}
    >
      <h2 {...(dashed ? {} : own)} className="mb-1.5 text-[15px] wrap-anywhere">
        <Words text={title} />
      </h2>
      <div className="flex min-h-11 flex-wrap gap-2">{children}</div>
    </section>
  );
}

/** Where what is not sorted yet lies. */
const UNSORTED = 'unsorted';

/** What is put where, what is in hand, and what was done last, in words. */
function useSorting({ face, answer, onAnswer }: Pick<SitProps, 'answer' | 'onAnswer'> & { face: BoxesFace }) {
  const [open, setOpen] = useState<string | null>(null);
  const { say, said } = useSaying();
  const { sorting } = useTold();
  const spokenName = useSpokenName();
  const placed = answer?.kind === 'boxes' ? answer.placed : {};
  const places = [
    ...face.boxes.map(({ id, text }) => ({ id, text })),
    ...(face.withNone ? [{ id: NONE, text: sorting.none }] : []),
  ];
  const spoken = useSpoken();
  const titleOf = (place: string) => places.find(({ id }) => id === place)?.text;
  const placeOf = ({ id }: Item): string => {
    const place = valueAt(placed, id);
    return place !== undefined && titleOf(place) !== undefined ? place : UNSORTED;
  };
  const put = (item: Item, to: string) => {
    const { [item.id]: _, ...rest } = placed;
    const next = to === UNSORTED ? rest : { ...rest, [item.id]: to };
    onAnswer(Object.keys(next).length === 0 ? null : { kind: 'boxes', placed: next });
    const title = titleOf(to);
    say(title === undefined ? sorting.taken(spokenName(item)) : `${spokenName(item)}: ${spoken(title)}.`);
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const item = face.items.find(({ id }) => id === active.id);
    if (item && over && over.id !== placeOf(item)) put(item, String(over.id));
  };
  return { open, setOpen, said, places, titleOf, placeOf, put, dropped };
}

interface HandProps {
  readonly item: Item;
  /** Where it lies now. */
  readonly place: string;
  readonly places: readonly { readonly id: string; readonly text: string }[];
  readonly onPut: (to: string) => void;
  readonly onClose: () => void;
}

/** Below the place where the thing in hand lies: where it can go. */
const WhereTo = ({ item, place, places, onPut, onClose }: HandProps) => {
  const spokenName = useSpokenName();
  const { sorting } = useTold();
  return (
    <ChooseFrom
      label={sorting.which(spokenName(item))}
      choices={[
        ...places.map(({ id, text }) => ({ id, shown: <Words text={text} /> })),
        ...(place === UNSORTED ? [] : [{ id: UNSORTED, shown: sorting.takeOut }]),
      ]}
      chosen={place}
      onChoose={onPut}
      onClose={onClose}
    />
  );
};

interface SortingProps extends Omit<SitProps, 'face' | 'language'> {
  readonly face: BoxesFace;
}

function Sorting({ face, answer, labelledBy, onAnswer }: SortingProps) {
  const group = useRef<HTMLDivElement>(null);
  const { sorting: words } = useTold();
  const sorting = useSorting({ face, answer, onAnswer });
  const { open, setOpen, said, places, titleOf, placeOf, put, dropped } = sorting;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  /** Closes what is open below a thing, which keeps the focus wherever it then lies. */
  const closed = (item: Item, act: () => void) => {
    flushSync(() => {
      act();
      setOpen(null);
    });
    group.current?.querySelector<HTMLButtonElement>(`[data-item="${item.id}"]`)?.focus();
  };
  const inHand = face.items.find(({ id }) => id === open);
  const inside = (place: string) =>
    face.items
      .filter((item) => placeOf(item) === place)
      .map((item) => (
        <Chip
          key={item.id}
          item={item}
          where={titleOf(place) ?? words.unsorted}
          open={open === item.id}
          onPress={() => setOpen(open === item.id ? null : item.id)}
        />
      ));
  const whereTo = (place: string) =>
    inHand &&
    placeOf(inHand) === place && (
      <WhereTo
        key={inHand.id}
        item={inHand}
        place={place}
        places={places}
        onPut={(to) => closed(inHand, () => put(inHand, to))}
        onClose={() => closed(inHand, () => undefined)}
      />
    );
  const left = inside(UNSORTED);
  return (
    <div ref={group} role="group" aria-labelledby={labelledBy}>
      <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
        <BoxPlace id={UNSORTED} title={left.length > 0 ? words.toSort : words.sorted} dashed>
          {left}
        </BoxPlace>
        {whereTo(UNSORTED)}
        <p className="caption my-2">{words.how}</p>
        <div className="grid grid-cols-[repeat(auto-fit,minmax(200px,1fr))] items-start gap-3">
          {places.map(({ id, text }) => (
            <div key={id}>
              <BoxPlace id={id} title={text}>
                {inside(id)}
              </BoxPlace>
              {whereTo(id)}
            </div>
          ))}
        </div>
      </DndContext>
      {said}
    </div>
  );
}

/** Things are sorted into boxes: dragged there, or pressed and told where. */
export default function BoxesSit({ face, ...more }: SitProps) {
  return face.kind === 'boxes' ? <Sorting face={face} {...more} /> : null;
}
