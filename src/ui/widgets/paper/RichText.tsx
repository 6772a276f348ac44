import type { ReactNode } from 'react';
import { useText } from '../../told/useTold';
import { ClipView } from './ClipView';
import { Words } from './Formula';
import { Linked } from './Linked';
import { isSafeAddress } from '@/core/content/links';
import { Picture } from './Picture';
import type { Block, RichText as Tree, TextRun } from '@/core/content/richText';

const WRAP = { bold: 'strong', italic: 'em', sub: 'sub', sup: 'sup' } as const;

function run({ text, marks, link }: TextRun, key: number): ReactNode {
  const isLink = link !== undefined && isSafeAddress(link);
  const marked = withMarks(isLink ? <Words text={text} /> : <Linked text={text} />, marks, key);
  if (!isLink) return marked;
  return (
    <a key={key} className="link-text" href={link} target="_blank" rel="noopener noreferrer">
      {marked}
    </a>
  );
}

function withMarks(words: ReactNode, marks: TextRun['marks'], key: number): ReactNode {
  return marks.reduce<ReactNode>(
    (inner, mark) => {
      const Tag = WRAP[mark];
      return <Tag key={key}>{inner}</Tag>;
    },
    <span key={key}>{words}</span>,
  );
}

function block(part: Block, key: number): ReactNode {
  if (part.type === 'picture') return <Picture key={key} picture={part.picture} />;
  if (part.type === 'clip') return <ClipView key={key} clip={part.clip} />;
  if (part.type === 'paragraph')
    return (
      <p key={key} dir="auto">
        {part.runs.map(run)}
      </p>
    );
  const Tag = part.type === 'bullets' ? 'ul' : 'ol';
  return (
    <Tag key={key} dir="auto">
      {part.items.map((item, index) => (
        <li key={index}>{item.map(block)}</li>
      ))}
    </Tag>
  );
}

/** Draws formatted text from its tree: text can only ever be text. */
export function RichText({ text, className = '' }: { readonly text: Tree; readonly className?: string }) {
  const { lang } = useText();
  return (
    <div lang={lang} className={`prose-paper ${className}`}>
      {text.map(block)}
    </div>
  );
}
