import type { Unmatched } from '@/core/kinds/shared/textKey/schema';
import { ChoicePart } from './ChoicePart';

const WORDS: Readonly<Record<Unmatched, string>> = {
  wrong: 'is wrong',
  waits: 'waits for me',
  nearMissesWait: 'is wrong, but near misses wait for me',
};

interface Props {
  readonly value: Unmatched;
  readonly onChange: (value: Unmatched) => void;
}

/** Part of a sentence: what happens to an answer that nothing in the key matches. */
export const UnmatchedPart = ({ value, onChange }: Props) => (
  <>
    {'Anything else '}
    <ChoicePart label="Anything else" value={value} words={WORDS} onChange={onChange} />
    {'. '}
  </>
);
