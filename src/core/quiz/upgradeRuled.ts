import { isRecord, type Json, listOf, stepBy } from '../content/upgrade';

/**
 * Records of the form in which every question held its own rules, brought to the one in which the quiz can hold them for
 * all. Every page that opens the database loads this, so it knows kinds only by what their questions hold.
 */

const SILENT = { text: '', links: [] };

/** Content with rules for all questions that change nothing, one question a page, no bands. */
export const ruleContent = (content: unknown): unknown =>
  isRecord(content)
    ? {
        penalty: { kind: 'none' },
        negativeCredit: false,
        sections: [],
        pages: 'each',
        bands: [],
        bandsOnCover: false,
        ...content,
      }
    : content;

const costsNothing = (penalty: unknown): boolean => isRecord(penalty) && penalty['kind'] === 'none';

/** A question that takes from the quiz what it has no rule of its own for; options say something when they are missed. */
function ruleQuestion(question: unknown): unknown {
  if (!isRecord(question)) return question;
  const { kind, options, penalty, negativeCredit } = question;
  const picked = (kind === 'pickOne' || kind === 'pickSeveral') && Array.isArray(options);
  return {
    ...question,
    penalty: costsNothing(penalty) ? null : penalty,
    negativeCredit: negativeCredit === false ? null : negativeCredit,
    ...(picked
      ? { options: options.map((one: unknown) => (isRecord(one) ? { missed: SILENT, ...one } : one)) }
      : {}),
  };
}

const rulePlacement = (placement: unknown): unknown =>
  isRecord(placement) ? { perPart: false, startsPage: false, checks: [], ...placement } : placement;

/** A question with its placement, in whatever record they stand beside each other; null stays null. */
export const ruleKept = (kept: unknown): unknown =>
  isRecord(kept)
    ? { ...kept, question: ruleQuestion(kept['question']), placement: rulePlacement(kept['placement']) }
    : kept;

/** An attempt at which no hint was asked for. */
export const ruleAttempt = (attempt: unknown): unknown =>
  isRecord(attempt) ? { hints: {}, ...attempt } : attempt;

const CHANGES: Readonly<Record<string, (value: unknown) => unknown>> = {
  content: ruleContent,
  question: ruleKept,
  attempt: ruleAttempt,
};

/** One undo step: what its changes hold. */
export const ruleStep = (step: unknown): unknown => stepBy(step, CHANGES);

/** Content, questions and placements that stand in one record. */
const ruleWritten = (quiz: unknown): unknown =>
  isRecord(quiz)
    ? {
        ...quiz,
        content: ruleContent(quiz['content']),
        ...listOf(quiz, 'questions', ruleQuestion),
        ...listOf(quiz, 'placements', rulePlacement),
      }
    : quiz;

const ruleRevision = (revision: unknown): unknown =>
  isRecord(revision) ? { ...revision, content: ruleContent(revision['content']) } : revision;

/** A quiz file, a backed-up quiz or a backup's list of form 5, brought to form 6. */
export function ruleFile(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 5) return file;
  const part = file['class'];
  return {
    ...file,
    version: 6,
    ...('quiz' in file ? { quiz: ruleWritten(file['quiz']) } : {}),
    ...(isRecord(part)
      ? {
          class: {
            ...part,
            ...listOf(part, 'revisions', ruleRevision),
            ...listOf(part, 'questionRevisions', ruleKept),
            ...listOf(part, 'attempts', ruleAttempt),
          },
        }
      : {}),
    ...listOf(file, 'history', ruleStep),
    ...listOf(file, 'histories', (one) =>
      isRecord(one) ? { ...one, ...listOf(one, 'steps', ruleStep) } : one,
    ),
  };
}

/** A rescue file of version 5, brought to version 6. */
export const ruleRescue = (file: unknown): unknown =>
  isRecord(file) && file['version'] === 5 ? { ...(ruleWritten(file) as Json), version: 6 } : file;
