import { isRecord, listOf, stepBy } from '../content/upgrade';

type Upgrade = (value: unknown) => unknown;

/** What a new form asks of a quiz's content, and of what happened to it. */
export interface Changed {
  readonly content: Upgrade;
  readonly standing: Upgrade;
}

/** Brings everything that holds quizzes from one form to the next, where it is of that form; all else is left as it is. */
export function upgradeBetween(from: number, to: number, changed: Changed) {
  const step: Upgrade = (one) => stepBy(one, { content: changed.content, standing: changed.standing });
  const held: Upgrade = (record) =>
    isRecord(record) ? { ...record, content: changed.content(record['content']) } : record;
  return {
    /** One undo step: what its changes hold. */
    step,
    /** A quiz file, a backed-up quiz or a backup's list. */
    file(file: unknown): unknown {
      if (!isRecord(file) || file['version'] !== from) return file;
      const part = file['class'];
      return {
        ...file,
        version: to,
        ...('quiz' in file ? { quiz: held(file['quiz']) } : {}),
        ...(isRecord(part)
          ? {
              class: {
                ...part,
                standing: changed.standing(part['standing']),
                ...listOf(part, 'revisions', held),
              },
            }
          : {}),
        ...listOf(file, 'history', step),
        ...listOf(file, 'histories', (one) =>
          isRecord(one) ? { ...one, ...listOf(one, 'steps', step) } : one,
        ),
      };
    },
    /** A rescue file. */
    rescue: (file: unknown): unknown =>
      isRecord(file) && file['version'] === from
        ? { ...file, content: changed.content(file['content']), version: to }
        : file,
  };
}
