import { useCallback, useEffect, useRef, useState } from 'react';
import { failureOf, type StoreFailure } from '@/device/failure';
import { keepUnsaved, reportSaving, unsavedWork } from './saving';

/** What a save gives back: the new token, or what another tab wrote meanwhile. */
type SaveResult<T, Token> =
  | { readonly ok: true; readonly token: Token }
  | { readonly ok: false; readonly theirs: { value: T; token: Token } | null };

interface Source<T, Token> {
  /** The name under which unsaved work is kept for a rescue file. */
  readonly name: string;
  /** The value as stored, and the token that tells its state. */
  readonly stored: T;
  readonly token: Token;
  /** True once the stored value has caught up with a saved token. */
  readonly reached: (stored: Token, saved: Token) => boolean;
  readonly save: (value: T, base: Token) => Promise<SaveResult<T, Token>>;
  /** Stores the value anew where another tab has deleted it; without it a deleted value stays deleted. */
  readonly restore?: (value: T) => Promise<Token>;
}

export interface Draft<T> {
  readonly value: T;
  readonly edit: (value: T) => void;
  /** What another tab wrote while this one was writing; null in peace. */
  readonly conflict: { readonly theirs: T | null } | null;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

interface Clash<T, Token> {
  readonly theirs: T | null;
  readonly token: Token | null;
}

/** What is still to be saved, and how far that has come. */
interface Work<T, Token> {
  pending: { value: T } | null;
  saving: boolean;
  base: Token | null;
  /** Another tab was faster: nothing is saved until the teacher has chosen. */
  stuck: boolean;
}

/** Saves what waits, the newest value last, until nothing does or a save fails: why it failed, or null. */
async function saveAll<T, Token>(
  work: Work<T, Token>,
  source: () => Source<T, Token>,
  onClash: (clash: Clash<T, Token>) => void,
): Promise<StoreFailure | null> {
  work.saving = true;
  let failure: StoreFailure | null = null;
  while (work.pending && !work.stuck) {
    const { value } = work.pending;
    work.pending = null;
    reportSaving(source().name, 'saving');
    try {
      const result = await source().save(value, work.base ?? source().token);
      if (result.ok) work.base = result.token;
      else {
        work.stuck = true;
        work.pending ??= { value };
        onClash({ theirs: result.theirs?.value ?? null, token: result.theirs?.token ?? null });
      }
    } catch (error) {
      failure = failureOf(error);
      work.pending ??= { value };
      break;
    }
  }
  work.saving = false;
  return failure;
}

/** What another tab deleted is stored anew, as it is written here. */
async function reviveInto<T, Token>(
  work: Work<T, Token>,
  { name, restore }: Source<T, Token>,
  value: T,
  retry: () => void,
): Promise<void> {
  if (!restore) return;
  try {
    work.base = await restore(value);
    work.pending = null;
    keepUnsaved(name, null);
    reportSaving(name, 'saved');
  } catch (error) {
    work.pending = { value };
    reportSaving(name, failureOf(error), retry);
  }
}

/**
 * A stored value being edited. Every edit is shown at once and saved at once; edits made while a save runs
 * are saved after it. Where another tab was faster, both versions are kept until the teacher chooses.
 */
export function useDraft<T, Token>(source: Source<T, Token>): Draft<T> {
  // What could not be stored is still there when the field comes back: it is shown, and waits to be tried again.
  const [unsaved] = useState(() => unsavedWork().get(source.name) as T | undefined);
  const [local, setLocal] = useState<{ value: T } | null>(unsaved === undefined ? null : { value: unsaved });
  const [conflict, setConflict] = useState<Clash<T, Token> | null>(null);
  const [saves, setSaves] = useState(0);
  const latest = useRef(source);
  latest.current = source;
  const work = useRef<Work<T, Token>>({
    pending: unsaved === undefined ? null : { value: unsaved },
    saving: false,
    base: null,
    stuck: false,
  });

  const drain = useCallback(async (retry: () => void) => {
    if (work.current.saving || work.current.stuck) return;
    const failure = await saveAll(work.current, () => latest.current, setConflict);
    setSaves((n) => n + 1);
    reportSaving(latest.current.name, failure ?? 'saved', retry);
    if (!failure && !work.current.stuck) keepUnsaved(latest.current.name, null);
  }, []);
  const flush = useCallback(() => {
    drain(flush).catch((error: unknown) => reportSaving(latest.current.name, failureOf(error), flush));
  }, [drain]);

  useEffect(() => {
    if (unsaved !== undefined) reportSaving(latest.current.name, 'other', flush);
  }, [unsaved, flush]);

  const edit = useCallback(
    (value: T) => {
      const state = work.current;
      state.base ??= latest.current.token;
      state.pending = { value };
      setLocal({ value });
      keepUnsaved(latest.current.name, value);
      flush();
    },
    [flush],
  );

  const { token, reached } = source;
  useEffect(() => {
    const state = work.current;
    if (state.pending || state.saving || state.base === null || !reached(token, state.base)) return;
    state.base = null;
    setLocal(null);
  }, [token, reached, saves]);

  const revive = (value: T): void => {
    reviveInto(work.current, latest.current, value, () => revive(value))
      .then(() => setSaves((n) => n + 1))
      .catch(() => undefined);
  };

  const settle = (keep: boolean) => {
    const state = work.current;
    const mine = state.pending;
    state.stuck = false;
    state.base = conflict?.token ?? null;
    state.pending = keep ? mine : null;
    setConflict(null);
    if (keep && mine && conflict?.theirs === null && latest.current.restore) revive(mine.value);
    else if (keep && mine) flush();
    else {
      state.base = null;
      setLocal(null);
      keepUnsaved(latest.current.name, null);
    }
  };

  return {
    value: local ? local.value : source.stored,
    edit,
    conflict: conflict ? { theirs: conflict.theirs } : null,
    keepMine: () => settle(true),
    takeTheirs: () => settle(false),
  };
}
