import { emptyContent } from '../quiz/newQuiz';
import { entriesWithFeedback, isRecord, upgradeFeedback, type Json } from './records';
import type { FormStep } from './walk';

/** Records of the first form. Files of it held what later forms ask for, but for people and attempts; rescue files and databases did not. */

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

/** A rescue file of version 1, with content of the first form, or 2, without texts: brought to version 3. */
export function upgradeFirstRescues(file: unknown, zone: string): unknown {
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

/** A student of the first form, which knew no email address. */
const student = (old: unknown): unknown => (isRecord(old) ? { email: '', ...old } : old);

/** An attempt of the first form: its time was always taken as known. */
const attempt = (old: unknown): unknown => (isRecord(old) ? { timeKnown: true, ...old } : old);

export const form2: FormStep = { to: 2, student, attempt };
