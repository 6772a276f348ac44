import { useCallback, useEffect, useRef, useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import { failureOf } from '@/device/failure';
import { keepUnsaved, reportSaving, unsavedWork } from './saving';

/** How long a saved text is waited for before what another tab stored is followed instead, in ms. */
const SAVE_WAIT_MS = 5000;

interface Source<Text> {
  /** Under this name the page says whether it is saved. */
  readonly name: string;
  readonly stored: Text;
  readonly save: (text: Text) => Promise<unknown>;
  /** The text as it is stored, where that is not letter by letter what is typed. */
  readonly normal?: (text: Text) => Text;
}

/** What stands in the field and in the store, and what is still to be saved. */
interface Work<Text> {
  own: Text;
  seen: Text;
  pending: Text | null;
  saving: boolean;
  /** What was saved last and has not come back yet. */
  awaited: Text | null;
  timer: number;
}

/** Saves what waits, the newest text last, until nothing does or a save fails; the page says how it went. */
async function saveAll<Text>(
  work: Work<Text>,
  { name, save }: Source<Text>,
  retry: () => void,
): Promise<void> {
  work.saving = true;
  while (work.pending !== null) {
    const next = work.pending;
    work.pending = null;
    reportSaving(name, 'saving');
    try {
      await save(next);
      work.awaited = next;
      if (work.pending === null) keepUnsaved(name, null);
      reportSaving(name, 'saved');
    } catch (error) {
      work.pending ??= next;
      reportSaving(name, failureOf(error), retry);
      break;
    }
  }
  work.saving = false;
}

/**
 * Text in a field that is stored on every change, one save after the other, and follows the stored text while
 * nobody writes in it. Where a save fails the text stays in the field, and the page says so and tries again.
 */
export function useTextDraft<Text = string>(source: Source<Text>): [Text, (text: Text) => void] {
  const { stored } = source;
  // What could not be stored is still there when the field comes back.
  const [unsaved] = useState(() => unsavedWork().get(source.name) as Text | undefined);
  const [text, setText] = useState(unsaved ?? stored);
  const latest = useRef(source);
  latest.current = source;
  const work = useRef<Work<Text>>({
    own: unsaved ?? stored,
    seen: stored,
    pending: unsaved ?? null,
    saving: false,
    awaited: null,
    timer: 0,
  });

  const follow = useCallback(() => {
    const state = work.current;
    const { normal = (plain: Text) => plain, stored: now } = latest.current;
    if (state.awaited !== null && same(normal(state.awaited), normal(now))) state.awaited = null;
    if (state.saving || state.pending !== null || state.awaited !== null) return;
    if (same(normal(now), normal(state.own))) return;
    state.own = now;
    setText(now);
  }, []);

  const drain = useCallback(
    async (retry: () => void) => {
      const state = work.current;
      if (state.saving) return;
      await saveAll(state, latest.current, retry);
      clearTimeout(state.timer);
      state.timer = window.setTimeout(() => {
        state.awaited = null;
        follow();
      }, SAVE_WAIT_MS);
      follow();
    },
    [follow],
  );
  const flush = useCallback(() => {
    const again = () => flush();
    drain(again).catch((error: unknown) => reportSaving(latest.current.name, failureOf(error), again));
  }, [drain]);

  useEffect(() => {
    const state = work.current;
    if (same(stored, state.seen)) return;
    state.seen = stored;
    follow();
  }, [stored, follow]);
  useEffect(() => {
    const state = work.current;
    if (unsaved !== undefined) reportSaving(latest.current.name, 'other', flush);
    return () => clearTimeout(state.timer);
  }, [unsaved, flush]);

  const edit = (next: Text) => {
    const state = work.current;
    state.own = next;
    state.pending = next;
    keepUnsaved(latest.current.name, next);
    setText(next);
    flush();
  };
  return [text, edit];
}
