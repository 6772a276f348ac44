import { Fragment } from 'react';
import type { RuleWords } from '@/kinds/faces';

interface Props {
  readonly rules: readonly RuleWords[];
  /** What the press is called that unfolds them. */
  readonly press: string;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

/** What holds, in one quiet line: what is not usual stands out in ink. A press unfolds it. */
export const QuietLine = ({ rules, press, open, onOpen }: Props) => (
  <p className="caption leading-relaxed">
    {rules.map(({ words, own }) => (
      <Fragment key={words}>
        {own ? <strong className="text-ink">{words}</strong> : words}
        {' · '}
      </Fragment>
    ))}
    <button
      type="button"
      className="link-text min-h-6 cursor-pointer"
      aria-expanded={open}
      onClick={() => onOpen(!open)}
    >
      {press}
    </button>
  </p>
);
