import type { Virtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, type RefObject } from 'react';
import type { CheckRow } from '@/workers/classDesk';
import type { Place } from '../rows';
import { DRAW_ALL_COLUMNS } from './columns';

interface At {
  readonly box: RefObject<HTMLDivElement | null>;
  readonly rows: readonly CheckRow[];
  readonly place: Place;
  readonly columns: readonly number[];
  readonly virtual: Virtualizer<HTMLDivElement, Element>;
  readonly across: Virtualizer<HTMLDivElement, Element>;
  /** Grows with each move by key, which takes the focus along. */
  readonly went: number;
}

/** The focus goes with the place, also to a row that is not drawn yet, and never to an element of another row. */
export function useFocusAt(at: At): void {
  const { box, place, went } = at;
  const here = `${place.attemptId}:${place.column}`;
  useLayoutEffect(() => {
    const focused = document.activeElement;
    if (!(focused instanceof HTMLElement) || !box.current?.contains(focused)) return;
    if (focused.dataset['cell'] && focused.dataset['cell'] !== here)
      box.current.focus({ preventScroll: true });
    else if (focused === box.current)
      box.current.querySelector<HTMLElement>(`[data-cell="${here}"]`)?.focus({ preventScroll: true });
  });
  const latest = useRef(at);
  latest.current = at;
  useLayoutEffect(() => {
    if (went === 0) return;
    // Keys are heard at once; the answer itself takes the focus when its row is drawn.
    if (!box.current?.contains(document.activeElement)) box.current?.focus({ preventScroll: true });
    const { rows: all, columns: questions, place: to, virtual: list, across: side } = latest.current;
    const index = all.findIndex((row) => row.attemptId === to.attemptId);
    list.scrollToIndex(index, { align: 'auto' });
    const column = questions.indexOf(to.column);
    if (questions.length > DRAW_ALL_COLUMNS && column >= 0) side.scrollToIndex(column, { align: 'auto' });
    // Once the row has been drawn; a dialog that is still there would keep the focus to itself.
    let tries = 0;
    const focus = () => {
      const cell = box.current?.querySelector<HTMLElement>(`[data-cell="${to.attemptId}:${to.column}"]`);
      if (cell) cell.focus({ preventScroll: false });
      else if (tries++ < 60) frame = requestAnimationFrame(focus);
    };
    let frame = requestAnimationFrame(focus);
    return () => cancelAnimationFrame(frame);
  }, [went, box]);
}
