import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { notify } from '@/ui/widgets/press/notices';
import type { CheckCell, CheckRow } from '@/workers/classDesk';
import type { Action } from './margin/Actions';
import { useTypedAhead } from './typedAhead';
import { firstPlace, neighbour, nextToLookAt, SUMS, type Place } from './rows';
import type { View } from './views';

const ACTION_KEYS: Readonly<Record<string, Action>> = { a: 'accept', p: 'part', w: 'wrong', h: 'hand' };
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

const nameOf = ({ attemptId, column }: Place): string => `${attemptId}:${column}`;

/** The answer at hand among the rows shown, what is open on it, and the ways to another one. */
export function usePlace(
  rows: readonly CheckRow[],
  /** The questions in the order shown. */
  columns: readonly number[],
  /** One paper below the other, or one with its questions below each other. */
  view: View,
  margin: RefObject<HTMLElement | null>,
) {
  const [chosen, setPlace] = useState<Place | null>(null);
  const [action, setAction] = useState<Action | null>(null);
  const [went, setWent] = useState(0);
  const ahead = useTypedAhead(margin);
  const isThere = ({ attemptId }: Place): boolean =>
    (attemptId === SUMS && view === 'all') || rows.some((row) => row.attemptId === attemptId);
  const [first] = rows;
  // Where the paper at hand is not shown any more, the same question of the first one that is.
  const near = chosen && first ? { attemptId: first.attemptId, column: chosen.column } : null;
  const known = chosen && isThere(chosen) ? chosen : near;
  const place = known ?? firstPlace(rows);
  const choose = useCallback((next: Place) => {
    setAction(null);
    setPlace(next);
  }, []);
  const go = useCallback(
    (next: Place) => {
      choose(next);
      setWent((times) => times + 1);
    },
    [choose],
  );
  // The keys go back to the table: what was open has closed, and the answer at hand has the focus.
  const act = (next: Action | null) => {
    setAction(next);
    if (next === null) setWent((times) => times + 1);
  };
  const next = (by: 1 | -1, wanted?: (cell: CheckCell, at: Place) => boolean): Place | null =>
    place && nextToLookAt(rows, place, by, wanted);
  const look = (by: 1 | -1) => {
    const found = next(by);
    if (found) go(found);
    else notify('Nothing else is wrong or not marked yet');
  };
  // An answer that was just marked by hand still waits in this table, and so may those before it.
  // Answers that are the same share a cell: what is settled is known by its place.
  const settled = useRef(new Map<string, CheckCell>());
  const lookOn = () => {
    setAction(null);
    const cell = rows.find(({ attemptId }) => attemptId === place?.attemptId)?.cells[place?.column ?? -1];
    if (place && cell) settled.current.set(nameOf(place), cell);
    const found = next(1, (one, at) => one.verdict === 'waits' && settled.current.get(nameOf(at)) !== one);
    if (found) go(found);
    else act(null);
  };
  /** Keeps a key for what was opened and is still to come. */
  const keep = (key: string): boolean =>
    action !== null && key !== 'Escape' && ahead.keep(key, action !== 'accept');
  const keys = (key: string): boolean => {
    if (!place) return false;
    const step = STEPS[key];
    if (step) {
      const [down, right] = view === 'paper' ? [step[1], step[0]] : step;
      go(neighbour(rows, columns, place, down, right));
    } else if (key === 'n' || key === 'b') look(key === 'n' ? 1 : -1);
    else if (key === 'c') margin.current?.querySelector<HTMLElement>('[data-comment] textarea')?.focus();
    else if (key === 'Escape' && action) {
      ahead.take();
      setAction(null);
    } else if (ACTION_KEYS[key] && place.attemptId !== SUMS && place.column < columns.length)
      setAction(ACTION_KEYS[key]);
    else return false;
    return true;
  };
  // An answer that was accepted before it was there has its keys after it.
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    if (action === null) for (const key of ahead.take()) latest.current(key);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is kept is no reason to look again
  }, [action]);
  return { place, action, went, choose, go, act, look, lookOn, keys, keep, ahead };
}
