import type { Prose } from '@/core/content/prose';
import { Linked } from './Linked';
import { RichText } from './RichText';

/** Words that may be formatted, as their reader sees them: plain ones keep their lines. */
export function ProseView({ text }: { readonly text: Prose }) {
  if (typeof text !== 'string') return <RichText text={text} className="prose-inherit" />;
  return (
    <span className="whitespace-pre-line">
      <Linked text={text} />
    </span>
  );
}
