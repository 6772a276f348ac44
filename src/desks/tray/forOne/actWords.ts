import type { ActProblem, SittingAct } from '@/core/sitting/acts';
import { count, points } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { ActEffect } from '@/workers/classDesk';

/** What a press does, in as few words as a button has room for. */
export function actName(act: SittingAct, zone: string): string {
  switch (act.act) {
    case 'moreMinutes':
      return `${count(act.minutes, 'minute')} more on the clock`;
    case 'later':
      return `Open until ${dayAndTimeIn(act.until, zone)}`;
    case 'oneMore':
      return 'One more attempt';
    case 'startAgain':
      return 'Replace the last attempt';
    case 'giveBack':
      return 'Reopen with its answers';
    case 'letGoOn':
      return 'Unlock the page';
    case 'collect':
      return 'Collect it as it is';
    case 'addLate':
      return 'Count them';
    case 'dropLate':
      return 'Leave them out';
  }
}

/** What was done, as a notice says it. */
export function doneWords(act: SittingAct, name: string, zone: string): string {
  switch (act.act) {
    case 'moreMinutes':
      return `${name} has ${count(act.minutes, 'minute')} more`;
    case 'later':
      return `The quiz is open for ${name} until ${dayAndTimeIn(act.until, zone)}`;
    case 'oneMore':
      return `${name} has one more attempt`;
    case 'startAgain':
      return `${name} can start again`;
    case 'giveBack':
      return `${name} can continue with the answers`;
    case 'letGoOn':
      return `${name} can continue`;
    case 'collect':
      return `${name}’s work has been collected`;
    case 'addLate':
      return `${name}’s answers from before the end now count`;
    case 'dropLate':
      return `${name}’s answers that came after the end are left out`;
  }
}

/** Why nothing was done. */
export const PROBLEMS: Readonly<Record<ActProblem, string>> = {
  nothingCame: 'Nothing waits for your word any more.',
  nothingRuns: 'No attempt is in progress.',
  notLocked: 'The page is not locked any more.',
  noLimit: 'This quiz has no time limit.',
  nothingDone: 'There is no attempt yet.',
  notOnScreen: 'Only work that was done on screen can be reopened.',
  stillRuns: 'An attempt is in progress.',
  closed: 'The quiz has closed for this student. Choose a later end.',
  past: 'That time has passed. Choose a later one.',
  noTimeLeft: 'Nothing of the time was left. Choose how many minutes more there are.',
};

const scoreOf = ({ score, outOf }: NonNullable<ActEffect['before']>): string =>
  `${points(score)} of ${points(outOf)}`;

/** What becomes of the score that is recorded; empty where nothing does. */
function scoreWords({ before, after }: ActEffect): string {
  if (before && !after) return `The score ${scoreOf(before)} no longer counts.`;
  if (before && after && scoreOf(before) !== scoreOf(after))
    return `The score becomes ${scoreOf(after)} instead of ${scoreOf(before)}.`;
  return '';
}

/** What a press would come to, in a sentence or two, before it is done. */
export function effectWords(act: SittingAct, effect: ActEffect, zone: string): string {
  if (effect.problem) return PROBLEMS[effect.problem];
  const ends = effect.endsAt === null ? '' : `It ends ${dayAndTimeIn(effect.endsAt, zone)}.`;
  const until = 'until' in act && act.until !== null ? `Open until ${dayAndTimeIn(act.until, zone)}.` : '';
  const says: Readonly<Record<SittingAct['act'], string>> = {
    moreMinutes: ends,
    later:
      effect.endsAt !== null && 'until' in act && effect.endsAt !== act.until
        ? `Its clock still ends ${dayAndTimeIn(effect.endsAt, zone)}.`
        : ends || 'For this student alone. A due time moves with it.',
    oneMore: `The attempts so far stay. ${until}`,
    startAgain: `The last attempt no longer counts, and another one is given. ${until}`,
    giveBack: `Its results hide until it is handed in again. ${ends || until}`,
    letGoOn: `The answers so far are kept; the clock did not stop. ${ends}`,
    collect: 'It is handed in with the answers it has now.',
    addLate: 'They count as if they had come in time.',
    dropLate: 'The work stays as it was collected.',
  };
  return [says[act.act], scoreWords(effect)].filter(Boolean).join(' ').trim();
}
