import { useState } from 'react';
import type { Formula } from '@/core/content/formula';
import type { StudentQuestion, Working } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';

interface Shown {
  readonly hints: Readonly<Record<string, StudentQuestion['hints']>>;
  readonly formulas: readonly Formula[];
}

const shownIn = ({ questions, formulas }: Working): Shown => ({
  hints: Object.fromEntries(questions.map(({ id, hints }) => [id, hints])),
  formulas,
});

/** The hints of the paper at hand, as far as they were asked for, and the formulas in what is shown. */
export function useHints(port: StudentPort, at: PaperAddress, working: Working) {
  const [shown, setShown] = useState(() => shownIn(working));
  /** Fails where the hint could not be shown; one that was kept all the same is shown when it is asked for again. */
  const ask = async (questionId: string, hintId: string): Promise<void> => {
    const receipt = await port.askHint(at, { attemptId: working.attemptId, questionId, hintId });
    if (receipt.state === 'refused') throw new Error(receipt.reason);
    const packet = await port.openPaper(at);
    if (packet.state !== 'working') throw new Error(packet.state);
    setShown(shownIn(packet.working));
  };
  return { ...shown, ask };
}
