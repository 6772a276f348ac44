import { isRecord, type Json } from '../content/upgrade';

/**
 * Records of the form in which questions had no name of their own and options no place to keep, brought to the one with
 * both. Every page that opens the database loads this, so it knows kinds only by what their questions hold.
 */

/** That a question must be answered was yes or no; now it says whether any part is enough. */
const mustOf = (must: unknown): unknown => (typeof must === 'boolean' ? (must ? 'any' : 'no') : must);

/** Content that shuffles no options. */
export const nameContent = (content: unknown): unknown =>
  isRecord(content)
    ? { shuffledOptions: false, ...content, mustAnswer: mustOf(content['mustAnswer']) }
    : content;

const WRITTEN = { mostWords: null, room: 'paragraph' };

/** A question with a name and topics for the teacher, and what its kind has learnt. */
function nameQuestion(question: unknown): unknown {
  if (!isRecord(question)) return question;
  const { kind, options } = question;
  const picked = (kind === 'pickOne' || kind === 'pickSeveral') && Array.isArray(options);
  return {
    name: '',
    topics: [],
    ...(kind === 'written' ? WRITTEN : {}),
    ...(picked ? { shuffled: null } : {}),
    ...question,
    ...(picked
      ? { options: options.map((one: unknown) => (isRecord(one) ? { keepsPlace: false, ...one } : one)) }
      : {}),
  };
}

const namePlacement = (placement: unknown): unknown =>
  isRecord(placement) ? { ...placement, mustAnswer: mustOf(placement['mustAnswer']) } : placement;

/** A question with its placement, in whatever record they stand beside each other; null stays null. */
export const nameKept = (kept: unknown): unknown =>
  isRecord(kept)
    ? { ...kept, question: nameQuestion(kept['question']), placement: namePlacement(kept['placement']) }
    : kept;

const CHANGES: Readonly<Record<string, (value: unknown) => unknown>> = {
  content: nameContent,
  question: nameKept,
};

/** One undo step: what its changes hold. */
export function nameStep(step: unknown): unknown {
  if (!isRecord(step) || !Array.isArray(step['changes'])) return step;
  const changes = step['changes'].map((change: unknown) => {
    if (!isRecord(change)) return change;
    const named = CHANGES[String(change['kind'])];
    return named ? { ...change, before: named(change['before']), after: named(change['after']) } : change;
  });
  return { ...step, changes };
}

const listOf = (part: Json, field: string, named: (one: unknown) => unknown): Json => {
  const list = part[field];
  return Array.isArray(list) ? { [field]: list.map(named) } : {};
};

/** Content, questions and placements that stand in one record. */
const nameWritten = (quiz: unknown): unknown =>
  isRecord(quiz)
    ? {
        ...quiz,
        content: nameContent(quiz['content']),
        ...listOf(quiz, 'questions', nameQuestion),
        ...listOf(quiz, 'placements', namePlacement),
      }
    : quiz;

const nameRevision = (revision: unknown): unknown =>
  isRecord(revision) ? { ...revision, content: nameContent(revision['content']) } : revision;

/** A quiz file, a backed-up quiz or a backup's list of form 4, brought to form 5. */
export function nameFile(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 4) return file;
  const part = file['class'];
  return {
    ...file,
    version: 5,
    ...('quiz' in file ? { quiz: nameWritten(file['quiz']) } : {}),
    ...(isRecord(part)
      ? {
          class: {
            ...part,
            ...listOf(part, 'revisions', nameRevision),
            ...listOf(part, 'questionRevisions', nameKept),
          },
        }
      : {}),
    ...listOf(file, 'history', nameStep),
    ...listOf(file, 'histories', (one) =>
      isRecord(one) ? { ...one, ...listOf(one, 'steps', nameStep) } : one,
    ),
  };
}

/** A rescue file of version 4, brought to version 5. */
export const nameRescue = (file: unknown): unknown =>
  isRecord(file) && file['version'] === 4 ? { ...(nameWritten(file) as Json), version: 5 } : file;
