import {
  entriesWithFeedback,
  isRecord,
  upgradeFeedback,
  type Json,
  listOf,
  stepBy,
} from '../content/upgrade';
import { emptyContent } from './newQuiz';
import { nameFile, nameRescue } from './upgradeNamed';
import { ruleFile, ruleRescue } from './upgradeRuled';
import { upgradeJudged } from './upgradeJudged';
import { lockFile, lockRescue } from './upgradeLocked';
import { revealFile, revealRescue } from './upgradeRevealed';
import { wordFile, wordRescue } from './upgradeWords';
import { placeFile, placeRescue } from './upgradePlaced';
import { fileWithClasses } from './upgradeSchool';

/** Records of the first forms, brought step by step to what the schemas ask for now. */

/** The rules that questions of the first form did not have yet. */
const NO_RULES = { negativeCredit: false, penalty: { kind: 'none' }, hints: [], standing: 'counts' };

/** Content without rules for attempts and lateness: one attempt, nothing lost by being late. */
export function upgradeContent(content: unknown, zone: string): unknown {
  if (!isRecord(content)) return content;
  const { attempts, late, scoring, decimalSign } = emptyContent('');
  const plan =
    isRecord(content['plan']) && !('aspects' in content['plan'])
      ? { comments: 'handedIn', ...content['plan'] }
      : content['plan'];
  return { attempts, late, scoring, decimalSign, zone, ...content, plan };
}

/**
 * A question of the first form: its links had no kind, its options no picture, and it had no rules of its own. Every page
 * that opens the database loads this, so it knows no kinds: it looks at the lists that questions had then.
 */
export function upgradeQuestion(question: unknown): unknown {
  if (!isRecord(question)) return question;
  const upgraded: Json = { ...NO_RULES, ...question };
  for (const side of ['right', 'partly', 'wrong']) upgraded[side] = upgradeFeedback(question[side]);
  const { options, variants } = question;
  if (options) upgraded['options'] = entriesWithFeedback(options, { picture: null });
  if (variants) upgraded['variants'] = entriesWithFeedback(variants);
  return upgraded;
}

/** A standing without a due time and without single students to whom results were shown. */
export function upgradeStanding(standing: unknown): unknown {
  if (!isRecord(standing)) return standing;
  const { opening } = standing;
  return {
    shownTo: {},
    ...standing,
    opening: isRecord(opening) ? { due: null, grace: 0, ...opening } : opening,
  };
}

/** A rescue file of an earlier version: the first had content of the first form, the second no texts. */
export const upgradeRescue = (file: unknown, zone: string): unknown =>
  lockRescue(
    revealRescue(
      upgradeJudged(wordRescue(ruleRescue(nameRescue(placeRescue(upgradeFirstRescues(file, zone)))))),
    ),
  );

function upgradeFirstRescues(file: unknown, zone: string): unknown {
  if (!isRecord(file)) return file;
  if (file['version'] === 2) return { ...file, version: 3, texts: [] };
  if (file['version'] !== 1) return file;
  const { content, questions } = file;
  return {
    ...file,
    version: 3,
    texts: [],
    content: upgradeContent(content, zone),
    questions: Array.isArray(questions) ? questions.map(upgradeQuestion) : questions,
  };
}

/** A student of the first form, which knew no e-mail address. */
export const upgradeStudent = (student: unknown): unknown =>
  isRecord(student) ? { email: '', ...student } : student;

/** An attempt of the first form: its time was always taken as known. */
export const upgradeAttempt = (attempt: unknown): unknown =>
  isRecord(attempt) ? { timeKnown: true, ...attempt } : attempt;

const UPGRADES: Readonly<Record<string, (value: unknown) => unknown>> = {
  student: upgradeStudent,
  attempt: upgradeAttempt,
};

/** One undo step of the first form: the students and attempts in its changes. */
export const upgradeStep = (step: unknown): unknown => stepBy(step, UPGRADES);

/** A quiz file, a backed-up quiz or a backup's list of any earlier form. */
export const upgradeFile = (file: unknown): unknown =>
  lockFile(
    revealFile(
      upgradeJudged(wordFile(ruleFile(nameFile(fileWithClasses(placeFile(upgradeFirstFile(file))))))),
    ),
  );

function upgradeFirstFile(file: unknown): unknown {
  if (!isRecord(file) || file['version'] !== 1) return file;
  const part = file['class'];
  return {
    ...file,
    version: 2,
    ...(isRecord(part)
      ? {
          class: {
            ...part,
            ...listOf(part, 'students', upgradeStudent),
            ...listOf(part, 'attempts', upgradeAttempt),
          },
        }
      : {}),
    ...listOf(file, 'students', upgradeStudent),
    ...listOf(file, 'history', upgradeStep),
    ...listOf(file, 'histories', (one) =>
      isRecord(one) ? { ...one, ...listOf(one, 'steps', upgradeStep) } : one,
    ),
  };
}
