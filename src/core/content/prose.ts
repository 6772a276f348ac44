import { isEmptyText, plain, plainText } from './plainText';
import type { Block, RichText } from './richText';

/**
 * Words that may be formatted. Plain ones are a string, a line for each paragraph; only what a string cannot hold (bold,
 * lists, links, pictures) is a tree. {@link proseOf} gives the one form that a text has. The schema stands apart, so that the
 * student's page can carry what is here.
 */
export type Prose = string | RichText;

/** The same words as a tree, whichever form they have. */
export const treeOf = (prose: Prose): RichText =>
  typeof prose === 'string' ? (prose === '' ? [] : plain(prose)) : prose;

const isPlainBlock = (block: Block): boolean =>
  block.type === 'paragraph' && block.runs.every(({ marks, link }) => marks.length === 0 && !link);

const LONGEST_PLAIN = 5000;

/** A tree as prose: a string, where it holds no more than one can. */
export function proseOf(tree: RichText): Prose {
  if (!tree.every(isPlainBlock)) return tree;
  const text = tree
    .map((block) => (block.type === 'paragraph' ? block.runs.map((run) => run.text).join('') : ''))
    .join('\n');
  return text.length <= LONGEST_PLAIN ? text : tree;
}

/** The words alone, for lists and searching. */
export const plainProse = (prose: Prose): string => (typeof prose === 'string' ? prose : plainText(prose));

/** True without words and pictures. */
export const isEmptyProse = (prose: Prose): boolean =>
  typeof prose === 'string' ? prose.trim() === '' : isEmptyText(prose);

/** Several texts below each other, each once; plain as long as all of them are. */
export function joinProse(all: readonly Prose[]): Prose {
  const spoken = all.filter((one) => !isEmptyProse(one));
  const each = [...new Map(spoken.map((one) => [JSON.stringify(one), one])).values()];
  return each.every((one) => typeof one === 'string')
    ? [...new Set(each.map((one) => one.trim()))].join('\n')
    : each.flatMap(treeOf);
}
