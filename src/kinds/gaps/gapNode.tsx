import { Node, type Editor } from '@tiptap/core';
import { NodeSelection } from '@tiptap/pm/state';
import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import { createContext, useContext } from 'react';
import { rightIn } from '@/core/kinds/gaps/cells';
import { hasGapKey } from '@/core/kinds/gaps/mark';
import type { Gap, GapsQuestion } from '@/core/kinds/gaps/schema';

interface Gaps {
  readonly question: GapsQuestion;
  /** The gap that is open below the passage. */
  readonly hand: string | null;
  readonly onTake: (id: string) => void;
}

/** The gaps of the question whose passage is being written. */
export const GapsInText = createContext<Gaps | null>(null);

/** What a gap takes beside its first right answer, in few words. */
function detailOf(gap: Gap): string {
  switch (gap.type) {
    case 'text': {
      const more = gap.variants.filter(({ credit }) => credit.n > 0).flatMap(({ forms }) => forms).length - 1;
      return more > 0 ? `+${more}` : '';
    }
    case 'number':
      return 'number';
    case 'list':
      return 'list';
    case 'bank':
      return 'bank';
    case 'pool':
      return '';
  }
}

/** The words on a gap's chip. */
export const gapLabel = (question: GapsQuestion, gap: Gap): string =>
  gap.type === 'pool' ? 'one of the ideas' : rightIn(question, gap);

/** A gap in the passage: a chip that opens what is right in it. */
function GapInText({ node, selected }: NodeViewProps) {
  const gaps = useContext(GapsInText);
  const id = String(node.attrs['gap']);
  const at = gaps?.question.gaps.findIndex((gap) => gap.id === id) ?? -1;
  const gap = gaps?.question.gaps[at];
  if (!gaps || !gap) return <NodeViewWrapper as="span" />;
  const label = gapLabel(gaps.question, gap) || 'no key yet';
  const detail = detailOf(gap);
  const open = gaps.hand === id;
  const keyed = hasGapKey(gaps.question, gap);
  return (
    <NodeViewWrapper as="span" contentEditable={false}>
      <button
        type="button"
        className={`gap-chip ${keyed ? '' : 'gap-chip-open'} ${open ? 'gap-chip-hand' : ''} ${selected ? 'gap-chip-selected' : ''}`}
        aria-label={`Gap ${at + 1}: ${label} ${detail}`.trim()}
        aria-expanded={open}
        data-gap-chip={id}
        onClick={() => gaps.onTake(id)}
      >
        <span className="font-semibold">{label}</span>
        {detail && <span className="text-[12.5px] text-soft"> {detail}</span>}
      </button>
    </NodeViewWrapper>
  );
}

/** The gap as one sign of the editor's document; Enter on it opens it, Ctrl G makes one of what is selected. */
export const GapNode = Node.create<{
  readonly onTake: (id: string) => void;
  readonly onMake: (editor: Editor) => boolean;
}>({
  name: 'gap',
  // Before a paragraph’s own Enter.
  priority: 1000,
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  addOptions: () => ({ onTake: () => undefined, onMake: () => false }),
  addAttributes: () => ({
    gap: {
      default: '',
      parseHTML: (element: HTMLElement) => element.getAttribute('data-gap') ?? '',
      renderHTML: (attributes: Record<string, unknown>) => ({ 'data-gap': attributes['gap'] }),
    },
  }),
  parseHTML: () => [{ tag: 'span[data-gap]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', HTMLAttributes],
  addNodeView: () => ReactNodeViewRenderer(GapInText),
  addKeyboardShortcuts() {
    return {
      'Mod-g': () => this.options.onMake(this.editor),
      Enter: () => {
        const { selection } = this.editor.state;
        if (!(selection instanceof NodeSelection) || selection.node.type.name !== 'gap') return false;
        this.options.onTake(String(selection.node.attrs['gap']));
        return true;
      },
    };
  },
});
