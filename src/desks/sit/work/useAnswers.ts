import { useContext, useEffect, useRef, useState } from 'react';
import type { Answer } from '@/core/kinds';
import type { Receipt, Whereabouts, Working } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import { KeptNews } from '../keptNews';
import { keepAnswers } from './keepAnswers';

/** This page, each time that it is loaded another one: by it and their numbers saves keep their order. */
const PAGE = Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => (byte % 36).toString(36)).join(
  '',
);

/** What the page can say about keeping answers. */
export type KeepState =
  | { readonly state: 'kept'; readonly at: number | null; readonly where?: Whereabouts }
  | { readonly state: 'keeping' }
  | { readonly state: 'trouble'; readonly reason: Extract<Receipt, { state: 'refused' }>['reason'] };

interface Answers {
  readonly answers: Readonly<Record<string, Answer>>;
  readonly keep: KeepState;
  readonly give: (questionId: string, answer: Answer | null) => void;
  /** Resolves once every answer given so far has been kept or refused; false where one was refused. */
  readonly settled: () => Promise<boolean>;
}

/** The answers of the paper at hand: shown at once, kept one after the other, the newest of each question last. */
export function useAnswers(port: StudentPort, at: PaperAddress, working: Working): Answers {
  const [answers, setAnswers] = useState<Readonly<Record<string, Answer>>>(working.answers);
  const [keep, setKeep] = useState<KeepState>({ state: 'kept', at: working.savedAt });
  const watchKept = useContext(KeptNews);
  const pending = useRef(new Map<string, Answer | null>());
  const number = useRef(0);
  const running = useRef<Promise<boolean> | null>(null);

  const drain = async (): Promise<boolean> => {
    const receipt = await keepAnswers(pending.current, (questionId, answer) => {
      number.current++;
      return port.saveAnswer(at, {
        attemptId: working.attemptId,
        questionId,
        answer,
        page: PAGE,
        number: number.current,
      });
    });
    if (receipt?.state === 'refused') setKeep({ state: 'trouble', reason: receipt.reason });
    else if (receipt) setKeep({ state: 'kept', at: receipt.at, where: receipt.where });
    return receipt?.state !== 'refused';
  };

  const run = (): Promise<boolean> => {
    running.current ??= drain().finally(() => {
      running.current = null;
    });
    return running.current;
  };

  // What waited to be sent may be sent without anything being given.
  useEffect(
    () =>
      watchKept?.((receipt) => {
        if (receipt.state === 'refused') setKeep({ state: 'trouble', reason: receipt.reason });
        else if (pending.current.size === 0) setKeep({ state: 'kept', at: receipt.at, where: receipt.where });
      }),
    [watchKept],
  );

  const give = (questionId: string, answer: Answer | null) => {
    setAnswers((current) => {
      const { [questionId]: _, ...rest } = current;
      return answer ? { ...rest, [questionId]: answer } : rest;
    });
    pending.current.set(questionId, answer);
    setKeep({ state: 'keeping' });
    run().catch(() => setKeep({ state: 'trouble', reason: 'storage' }));
  };

  const settled = async (): Promise<boolean> => {
    let kept = await run();
    while (kept && pending.current.size > 0) kept = await run();
    return kept;
  };

  return { answers, keep, give, settled };
}
