import { isRecord } from '../content/upgrade';

/**
 * A quiz file, backup or rescue file of form 7, brought to form 8. Form 7 had no decisions about look-alikes and no levels of a
 * rubric in own scores: both are absent where there are none, so that only the number changes.
 */
export const upgradeJudged = (file: unknown): unknown =>
  isRecord(file) && file['version'] === 7 ? { ...file, version: 8 } : file;
