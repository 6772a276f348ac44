import { isRecord, type Json, listOf, stepBy } from '../content/upgrade';

/**
 * Records of the form that knew no lists of words and counted lateness in tables by days alone, brought to the one that does
 * and by hours too. Nobody's marks change: where errors or
 * accents were let pass, other words go on passing until the teacher wants it otherwise. Every page that opens the database
 * loads this, so it knows kinds only by what their questions hold.
 */

/** A table of what being late costs, whose rows were days all. */
function rowsInUnits(late: unknown): unknown {
  if (!isRecord(late) || !Array.isArray(late['rows'])) return late;
  const rows = late['rows'].map((row: unknown) => {
    if (!isRecord(row) || !('days' in row)) return row;
    const { days, ...more } = row;
    return { within: days, unit: 'day', ...more };
  });
  return { ...late, rows };
}

export const wordContent = (content: unknown): unknown =>
  isRecord(content) ? { wordLists: 1, ...content, late: rowsInUnits(content['late']) } : content;

const letsPass = (settings: unknown): boolean =>
  isRecord(settings) &&
  ((settings['typingErrors'] !== undefined && settings['typingErrors'] !== 0) ||
    settings['ignoreAccents'] === true);

const variantsIn = (list: unknown): unknown[] => (Array.isArray(list) ? list : []);
const ownSettings = (variant: unknown): unknown => (isRecord(variant) ? variant['settings'] : undefined);

/** What compares texts: settings, with variants that may differ from them. */
function wordKey(key: Json, variants: readonly unknown[]): Json {
  const { settings } = key;
  if (!isRecord(settings)) return key;
  const passes = letsPass(settings) || variants.some((variant) => letsPass(ownSettings(variant)));
  return { ...key, settings: { otherWords: passes ? 'pass' : 'refuse', ...settings } };
}

function wordQuestion(question: unknown): unknown {
  if (!isRecord(question)) return question;
  const { ideas, gaps } = question;
  const variants = [
    ...variantsIn(question['variants']),
    ...variantsIn(ideas).flatMap((idea) => (isRecord(idea) ? variantsIn(idea['variants']) : [])),
  ];
  return {
    ...wordKey(question, variants),
    ...(Array.isArray(gaps)
      ? {
          gaps: gaps.map((gap: unknown) => (isRecord(gap) ? wordKey(gap, variantsIn(gap['variants'])) : gap)),
        }
      : {}),
  };
}

/** A question with its placement, in whatever record they stand beside each other; null stays null. */
export const wordKept = (kept: unknown): unknown =>
  isRecord(kept) ? { ...kept, question: wordQuestion(kept['question']) } : kept;

const CHANGES: Readonly<Record<string, (value: unknown) => unknown>> = {
  content: wordContent,
  question: wordKept,
};

/** One undo step: what its changes hold. */
export const wordStep = (step: unknown): unknown => stepBy(step, CHANGES);

const wordWritten = (quiz: unknown): unknown =>
  isRecord(quiz)
    ? { ...quiz, content: wordContent(quiz['content']), ...listOf(quiz, 'questions', wordQuestion) }
    : quiz;

const wordRevision = (revision: unknown): unknown =>
  isRecord(revision) ? { ...revision, content: wordContent(revision['content']) } : revision;

/** A quiz file, a backed-up quiz or a backup's list of form 6, brought to form 7. */
export function wordFile(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 6) return file;
  const part = file['class'];
  return {
    ...file,
    version: 7,
    ...('quiz' in file ? { quiz: wordWritten(file['quiz']) } : {}),
    ...(isRecord(part)
      ? {
          class: {
            ...part,
            ...listOf(part, 'revisions', wordRevision),
            ...listOf(part, 'questionRevisions', wordKept),
          },
        }
      : {}),
    ...listOf(file, 'history', wordStep),
    ...listOf(file, 'histories', (one) =>
      isRecord(one) ? { ...one, ...listOf(one, 'steps', wordStep) } : one,
    ),
  };
}

/** A rescue file of version 6, brought to version 7. */
export const wordRescue = (file: unknown): unknown =>
  isRecord(file) && file['version'] === 6 ? { ...(wordWritten(file) as Json), version: 7 } : file;
