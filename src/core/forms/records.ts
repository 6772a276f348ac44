/** Parts of records of earlier forms, brought to what the schemas ask for now. */

export type Json = Record<string, unknown>;

export const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Feedback of the first form: its links had no kind. */
export const upgradeFeedback = (feedback: unknown): unknown =>
  isRecord(feedback) && Array.isArray(feedback['links'])
    ? {
        ...feedback,
        links: feedback['links'].map((link) => (isRecord(link) ? { kind: 'read', ...link } : link)),
      }
    : feedback;

/** A list of the first form whose entries have feedback, with `more` for what they had not yet. */
export const entriesWithFeedback = (list: unknown, more: Json = {}): unknown =>
  Array.isArray(list)
    ? list.map((one: unknown) =>
        isRecord(one) ? { ...more, ...one, feedback: upgradeFeedback(one['feedback']) } : one,
      )
    : list;

type Upgrade = (one: unknown) => unknown;

/** A list in a record with each entry brought on; nothing where it has none of the name. */
export const listOf = (part: Json, field: string, upgrade: Upgrade): Json => {
  const list = part[field];
  return Array.isArray(list) ? { [field]: list.map(upgrade) } : {};
};
