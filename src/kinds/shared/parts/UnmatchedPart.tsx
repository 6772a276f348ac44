import type { Unmatched } from '@/core/kinds/shared/textKey/schema';
import { ChoicePart } from './ChoicePart';

/** What becomes of an answer that nothing in the key matches, as it goes on after *anything else*. */
export const UNMATCHED_WORDS: Readonly<Record<Unmatched, string>> = {
  wrong: 'is wrong',
  waits: 'is for me to mark',
  nearMissesWait: 'is wrong, but near misses are for me to mark',
};

interface Props {
  readonly value: Unmatched;
  readonly onChange: (value: Unmatched) => void;
}

/** Part of a sentence: what happens to an answer that nothing in the key matches. */
export const UnmatchedPart = ({ value, onChange }: Props) => (
  <>
    {'Anything else '}
    <ChoicePart label="Anything else" value={value} words={UNMATCHED_WORDS} onChange={onChange} />
    {'. '}
  </>
);
