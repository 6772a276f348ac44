import { useEffect, useReducer, useRef, useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import { DraftMachine, type Source } from './draftMachine';

export interface Draft<T> {
  readonly value: T;
  readonly edit: (value: T) => void;
  /** What another tab wrote while this one was writing; null in peace. */
  readonly conflict: { readonly theirs: T | null } | null;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** A stored value being edited: see {@link DraftMachine}. */
export function useDraft<T, Token>(source: Source<T, Token>): Draft<T> {
  const [, draw] = useReducer((n: number) => n + 1, 0);
  const latest = useRef(source);
  latest.current = source;
  const [machine] = useState(() => new DraftMachine<T, Token>(() => latest.current, draw));
  useEffect(() => {
    machine.appear();
    return () => machine.leave();
  }, [machine]);
  useEffect(() => machine.follow(), [machine, source.token, source.stored]);
  const { value, conflict, edit, keepMine, takeTheirs } = machine;
  return { value, conflict, edit, keepMine, takeTheirs };
}

/** How long a saved text is waited for before what another tab stored is followed instead: milliseconds. */
const TEXT_PATIENCE = 5000;

interface TextSource<Text> {
  readonly name: string;
  readonly stored: Text;
  readonly save: (text: Text) => Promise<unknown>;
  readonly normal?: (text: Text) => Text;
}

/** Text in a field of its own, of which the last save counts, whoever made it. */
export function useTextDraft<Text = string>({
  name,
  stored,
  save,
  normal = (plain) => plain,
}: TextSource<Text>): [Text, (text: Text) => void] {
  const { value, edit } = useDraft<Text, Text>({
    name,
    stored,
    token: stored,
    reached: (now, saved) => same(normal(now), normal(saved)),
    save: async (text) => {
      await save(text);
      return { ok: true, token: text };
    },
    normal,
    patience: TEXT_PATIENCE,
  });
  return [value, edit];
}
