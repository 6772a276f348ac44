import { isRecord } from '../content/upgrade';
import { upgradeBetween } from './upgradeBetween';

/**
 * Records of the form that did not ask what missing work gets and kept no leaks that the teacher knows of: missing work stays
 * empty, and no leak is known.
 */

export const lockedContent = (content: unknown): unknown =>
  isRecord(content) ? { missing: 'empty', ...content } : content;

export const lockedStanding = (standing: unknown): unknown =>
  isRecord(standing) ? { known: [], ...standing } : standing;

/** Form 9 brought to form 10: files, rescue files, and undo steps. */
export const {
  file: lockFile,
  rescue: lockRescue,
  step: lockStep,
} = upgradeBetween(9, 10, { content: lockedContent, standing: lockedStanding });
