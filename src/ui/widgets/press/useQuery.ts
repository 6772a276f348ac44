import { useCallback, useEffect, useRef, useState } from 'react';
import { failureOf, type StoreFailure } from '@/device/failure';

/** How soon something that is being made is asked for again: ms. */
const ASK_AGAIN = 3000;

/** Something asked of a worker or the store. */
export interface Query<T> {
  /** The newest answer; the one from before while the next is on its way. null: none yet. */
  readonly value: T | null;
  /** Why the last asking failed; null where it did not. */
  readonly failure: StoreFailure | null;
  readonly again: () => void;
}

/**
 * Asks anew whenever what it depends on changes. One question at a time: what changes while an answer is on its way is
 * asked about once, when that has come; until then the answer from before stays.
 */
export function useQuery<T>(ask: () => Promise<T>, deps: readonly unknown[]): Query<T> {
  const [state, setState] = useState<{ value: T | null; failure: StoreFailure | null }>({
    value: null,
    failure: null,
  });
  const latest = useRef(ask);
  const work = useRef({ running: false, wanted: false, there: true });
  useEffect(() => {
    latest.current = ask;
  });
  const go = useCallback(() => {
    const now = work.current;
    now.wanted = true;
    if (now.running) return;
    const next = () => {
      if (!now.there || !now.wanted) return;
      now.running = true;
      now.wanted = false;
      const done = (
        set: (before: { value: T | null }) => { value: T | null; failure: StoreFailure | null },
      ) => {
        now.running = false;
        if (!now.there) return;
        if (!now.wanted) setState(set);
        next();
      };
      latest.current().then(
        (value) => done(() => ({ value, failure: null })),
        (error: unknown) => done(({ value }) => ({ value, failure: failureOf(error) })),
      );
    };
    next();
  }, []);
  useEffect(() => {
    const now = work.current;
    now.there = true;
    return () => {
      now.there = false;
    };
  }, []);
  // What is being made comes without a press.
  const isComing = state.failure === 'listComing';
  useEffect(() => {
    if (!isComing) return;
    const timer = setInterval(go, ASK_AGAIN);
    return () => clearInterval(timer);
  }, [isComing, go]);
  // What an answer depends on is listed by whoever asks.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useEffect(go, deps);
  return { ...state, again: go };
}

/**
 * The same for what something would do that is not done yet: an answer to what was asked before says nothing of it, so that
 * there is none until its own has come.
 */
export function useFreshQuery<T>(ask: () => Promise<T>, deps: readonly unknown[]): Query<T> {
  const key = JSON.stringify(deps);
  const { value, ...query } = useQuery(async () => ({ key, answer: await ask() }), [key]);
  return { ...query, value: value?.key === key ? value.answer : null };
}
