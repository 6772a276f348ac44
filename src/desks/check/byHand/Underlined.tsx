import type { FoundIdea } from '@/core/kinds/handMarked';

interface Props {
  readonly text: string;
  readonly ideas: readonly FoundIdea[];
  readonly names: readonly string[];
}

/** A text with the ideas underlined that are looked for. */
export function Underlined({ text, ideas, names }: Props) {
  return (
    <p className="max-w-[68ch] text-[17px] leading-relaxed break-words whitespace-pre-wrap">
      {ideas.map(({ from, to, idea }, at) => (
        <span key={from}>
          {text.slice(at === 0 ? 0 : (ideas[at - 1]?.to ?? 0), from)}
          <mark className="found-idea" title={names[idea]}>
            {text.slice(from, to)}
          </mark>
        </span>
      ))}
      {text.slice(ideas.at(-1)?.to ?? 0)}
    </p>
  );
}
