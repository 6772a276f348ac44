import { isRecord, type Json } from '../content/upgrade';

/**
 * Records of the form in which questions held their points themselves, brought to the one in which a quiz places them.
 * Every page that opens the database loads this, so it knows no kinds.
 */

/** Content that shuffles nothing. */
export const placeContent = (content: unknown): unknown =>
  isRecord(content) ? { shuffled: false, ...content } : content;

/** A question parted into itself and its placement; null stays null. */
export function placeQuestion(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { points, mustAnswer, standing, ...question } = old;
  return {
    question: { language: null, decimalSign: null, ...question },
    placement: { questionId: old['id'], points, mustAnswer, standing, staysInPlace: false },
  };
}

/** A seed for an attempt that was begun without one: always the same from the same id (FNV-1a, 32 bits). */
function seedOf(id: unknown): number {
  let seed = 0x811c9dc5;
  for (const sign of String(id)) seed = Math.imul(seed ^ (sign.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return seed;
}

/** Words of a file that named none of the options were an answer of their own kind; now they are one that is not read. */
function placeAnswer([id, answer]: [string, unknown]): [string, unknown][] {
  if (!isRecord(answer) || answer['kind'] !== 'pickOneOther') return [[id, answer]];
  const { text } = answer;
  return typeof text === 'string' && text.trim() === '' ? [] : [[id, { kind: 'unread', text }]];
}

/** An attempt with a seed, and nothing on its way. */
export function placeAttempt(attempt: unknown): unknown {
  if (!isRecord(attempt)) return attempt;
  const { answers } = attempt;
  return {
    seed: seedOf(attempt['id']),
    saves: {},
    ...attempt,
    answers: isRecord(answers) ? Object.fromEntries(Object.entries(answers).flatMap(placeAnswer)) : answers,
  };
}

const CHANGES: Readonly<Record<string, (value: unknown) => unknown>> = {
  content: placeContent,
  question: placeQuestion,
  attempt: placeAttempt,
};

/** One undo step: what its changes hold. */
export function placeStep(step: unknown): unknown {
  if (!isRecord(step) || !Array.isArray(step['changes'])) return step;
  const changes = step['changes'].map((change: unknown) => {
    if (!isRecord(change)) return change;
    const place = CHANGES[String(change['kind'])];
    return place ? { ...change, before: place(change['before']), after: place(change['after']) } : change;
  });
  return { ...step, changes };
}

const listOf = (part: Json, field: string, place: (one: unknown) => unknown): Json => {
  const list = part[field];
  return Array.isArray(list) ? { [field]: list.map(place) } : {};
};

/** Content and questions that stand in one record: their placements come beside them. */
function placeWritten(quiz: unknown): unknown {
  if (!isRecord(quiz) || !Array.isArray(quiz['questions'])) return quiz;
  const placed = quiz['questions'].map(placeQuestion);
  const half = (name: 'question' | 'placement') => placed.map((one) => (isRecord(one) ? one[name] : one));
  return {
    ...quiz,
    content: placeContent(quiz['content']),
    questions: half('question'),
    placements: half('placement'),
  };
}

const placeRevision = (revision: unknown): unknown =>
  isRecord(revision) ? { ...revision, content: placeContent(revision['content']) } : revision;

/** A revision of a question, which gets its placement beside it. */
export const placeKept = (kept: unknown): unknown => {
  if (!isRecord(kept)) return kept;
  const placed = placeQuestion(kept['question']);
  return isRecord(placed) ? { ...kept, ...placed } : kept;
};

/** A quiz file, a backed-up quiz or a backup's list of form 2, brought to form 3. */
export function placeFile(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 2) return file;
  const part = file['class'];
  const placedClass = isRecord(part) && {
    class: {
      ...part,
      ...listOf(part, 'revisions', placeRevision),
      ...listOf(part, 'questionRevisions', placeKept),
      ...listOf(part, 'attempts', placeAttempt),
    },
  };
  return {
    ...file,
    version: 3,
    ...('quiz' in file ? { quiz: placeWritten(file['quiz']) } : {}),
    ...placedClass,
    ...listOf(file, 'history', placeStep),
    ...listOf(file, 'histories', (one) =>
      isRecord(one) ? { ...one, ...listOf(one, 'steps', placeStep) } : one,
    ),
  };
}

/** A rescue file of version 3, brought to version 4. */
export const placeRescue = (file: unknown): unknown =>
  isRecord(file) && file['version'] === 3 ? { ...(placeWritten(file) as Json), version: 4 } : file;
