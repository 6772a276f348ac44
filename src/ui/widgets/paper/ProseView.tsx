import type { Prose } from '@/core/content/prose';
import { useText } from '../../told/useTold';
import { Linked } from './Linked';
import { RichText } from './RichText';

/** Words that may be formatted, as their reader sees them: plain ones keep their lines. */
export function ProseView({ text }: { readonly text: Prose }) {
  const own = useText();
  if (typeof text !== 'string') return <RichText text={text} className="prose-inherit" />;
  return (
    <span {...own} className="whitespace-pre-line [unicode-bidi:plaintext]">
      <Linked text={text} />
    </span>
  );
}
