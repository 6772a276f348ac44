import { isRecord, listOf, type Json } from './records';

/** How records of one form become those of the next, and the one way through everything that holds such records. */

export type Upgrade = (value: unknown) => unknown;

/**
 * What a form asks of each kind of record that the form before did not. A kind that is missing is as it was. Each is also given
 * what is no such record, such as the null before a question was made, and leaves that as it is.
 */
export interface FormStep {
  /** The form that it makes, of the one before. */
  readonly to: number;
  /** The version of a rescue file that it makes, of the one before; absent where the form changed nothing in those. */
  readonly rescueTo?: number;
  /** What the teacher writes for the whole quiz. */
  readonly content?: Upgrade;
  /** The same as it counted when it was applied; by default as it is written. */
  readonly counted?: Upgrade;
  /** What happened to the quiz. */
  readonly standing?: Upgrade;
  readonly question?: Upgrade;
  readonly placement?: Upgrade;
  /** A question with its placement, in whatever record they stand beside each other; by default each for itself. */
  readonly kept?: Upgrade;
  /** Content, questions and placements in one record; by default each for itself. */
  readonly written?: Upgrade;
  readonly attempt?: Upgrade;
  readonly student?: Upgrade;
  /** What happened to the quiz and everyone's work, besides the records that it is made of. */
  readonly class?: (part: Json) => Json;
  /** A backup's list, besides what it says of people. */
  readonly backup?: (file: Json) => Json;
  /** What a file says of people, besides `student`. */
  readonly people?: (part: Json) => Json;
  /** One change of an undo step, where it becomes several. */
  readonly change?: (change: unknown) => unknown[];
}

const asItWas: Upgrade = (value) => value;

/** A question with its placement, as a step makes them. */
export const keptBy = ({ question = asItWas, placement = asItWas, kept }: FormStep): Upgrade =>
  kept ??
  ((record) =>
    isRecord(record)
      ? {
          ...record,
          ...('question' in record ? { question: question(record['question']) } : {}),
          ...('placement' in record ? { placement: placement(record['placement']) } : {}),
        }
      : record);

/** A record with content, as a step makes that. */
export const heldBy =
  ({ content = asItWas }: Pick<FormStep, 'content'>): Upgrade =>
  (record) =>
    isRecord(record) ? { ...record, content: content(record['content']) } : record;

/** A revision that counted, as a step makes it. */
export const countedBy = (step: FormStep): Upgrade =>
  heldBy({ content: step.counted ?? step.content ?? asItWas });

const writtenBy = (step: FormStep): Upgrade =>
  step.written ??
  ((quiz) => {
    if (!isRecord(quiz)) return quiz;
    return {
      ...(heldBy(step)(quiz) as Json),
      ...listOf(quiz, 'questions', step.question ?? asItWas),
      ...listOf(quiz, 'placements', step.placement ?? asItWas),
    };
  });

function changesBy(step: FormStep): (change: unknown) => unknown[] {
  const byKind: Readonly<Record<string, Upgrade | undefined>> = {
    content: step.content,
    standing: step.standing,
    question: step.question || step.placement || step.kept ? keptBy(step) : undefined,
    attempt: step.attempt,
    student: step.student,
  };
  return (change) => {
    const upgrade = isRecord(change) ? byKind[String(change['kind'])] : undefined;
    if (!isRecord(change) || !upgrade) return [change];
    return [{ ...change, before: upgrade(change['before']), after: upgrade(change['after']) }];
  };
}

/** One undo step with what its changes hold. */
export function historyBy(step: FormStep): Upgrade {
  const changes = step.change ?? changesBy(step);
  return (one) =>
    isRecord(one) && Array.isArray(one['changes'])
      ? { ...one, changes: one['changes'].flatMap(changes) }
      : one;
}

const peopleBy = (step: FormStep, part: Json): Json => ({
  ...(step.student ? listOf(part, 'students', step.student) : {}),
  ...step.people?.(part),
});

function classBy(step: FormStep, part: Json): Json {
  const made = {
    ...part,
    ...('standing' in part && step.standing ? { standing: step.standing(part['standing']) } : {}),
    ...listOf(part, 'revisions', countedBy(step)),
    ...listOf(part, 'questionRevisions', keptBy(step)),
    ...(step.attempt ? listOf(part, 'attempts', step.attempt) : {}),
    ...peopleBy(step, part),
  };
  return step.class ? step.class(made) : made;
}

/** A quiz file, a backed-up quiz or a backup's list, where it is of the form before; all else is left as it is. */
export function fileBy(step: FormStep): Upgrade {
  const history = historyBy(step);
  return (file) => {
    if (!isRecord(file) || file['version'] !== step.to - 1) return file;
    const part = file['class'];
    const made = {
      ...file,
      version: step.to,
      ...('quiz' in file ? { quiz: writtenBy(step)(file['quiz']) } : {}),
      ...(isRecord(part) ? { class: classBy(step, part) } : {}),
      ...peopleBy(step, file),
      ...listOf(file, 'history', history),
      ...listOf(file, 'histories', (one) =>
        isRecord(one) ? { ...one, ...listOf(one, 'steps', history) } : one,
      ),
    };
    return step.backup && file['format'] === 'yentrel-backup' ? step.backup(made) : made;
  };
}

/** A rescue file, where it is of the version before. */
export const rescueBy =
  (step: FormStep): Upgrade =>
  (file) =>
    isRecord(file) && step.rescueTo !== undefined && file['version'] === step.rescueTo - 1
      ? { ...(writtenBy(step)(file) as Json), version: step.rescueTo }
      : file;
