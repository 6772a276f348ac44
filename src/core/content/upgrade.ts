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

/** One undo step with what its changes hold brought on, by the kind of each change; other kinds stay. */
export function stepBy(step: unknown, upgrades: Readonly<Record<string, Upgrade>>): unknown {
  if (!isRecord(step) || !Array.isArray(step['changes'])) return step;
  const changes = step['changes'].map((change: unknown) => {
    const upgrade = isRecord(change) ? upgrades[String(change['kind'])] : undefined;
    return isRecord(change) && upgrade
      ? { ...change, before: upgrade(change['before']), after: upgrade(change['after']) }
      : change;
  });
  return { ...step, changes };
}
