import type { Prose } from '@/core/content/prose';
import { useText } from '../../told/useTold';
import { Linked } from './Linked';
import { RichText } from './RichText';

interface Props {
  readonly text: Prose;
  /** Whether it stands in lines of its own: then a text from right to left begins at the right. */
  readonly alone?: boolean;
}

/** Words that may be formatted, as their reader sees them: plain ones keep their lines. */
export function ProseView({ text, alone = false }: Props) {
  const own = useText();
  if (typeof text !== 'string') return <RichText text={text} className="prose-inherit" />;
  return (
    <span {...own} className={`whitespace-pre-line [unicode-bidi:plaintext] ${alone ? 'block' : ''}`}>
      <Linked text={text} />
    </span>
  );
}
