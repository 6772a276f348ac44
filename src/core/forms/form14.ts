import { isRecord } from './records';
import type { FormStep, Upgrade } from './walk';

/**
 * Records of the form that named only the edition of the word lists. Rules of comparing and lists have one version between them
 * now. What counted before was compared by the first, so that no score moves; what is written is compared by the second, so that
 * its teacher sees what that would do.
 */
const comparedBy =
  (comparing: 1 | 2): Upgrade =>
  (old) => {
    if (!isRecord(old)) return old;
    const { wordLists: _, ...kept } = old;
    return { ...kept, comparing };
  };

export const form14: FormStep = { to: 14, rescueTo: 14, content: comparedBy(2), counted: comparedBy(1) };
