import { same } from '../figures/deepEqual';
import type { Answer } from '../kinds';
import { readTicket } from '../quiz/people/ticket';
import { isLate } from '../quiz/times/due';
import { endOf, isTooLate } from '../quiz/times/attemptEnd';
import type { StudentWindow } from '../quiz/times/windows';
import type { Attempt } from '../quiz/work/attempt';
import { checkOf, packedIn, unpackedText } from './answersText';
import { AnswersFile, readAnswer } from './schema';

/** Files of answers, and texts of messages, on their way into a quiz: each is judged by itself, and none spoils another. */

/** A file, or something that was pasted, by what the teacher knows it by. */
export interface Source {
  readonly name: string;
  readonly text: string;
}

/** Why nothing of a source is taken in. */
export type AnswersProblem =
  /** No answers of a paper's file; `place`: what of it cannot be read, where that is known. */
  | { readonly problem: 'noAnswers'; readonly place: string | null }
  | { readonly problem: 'large' }
  /** The end is missing. */
  | { readonly problem: 'cut' }
  /** It is not as it was saved. */
  | { readonly problem: 'changed' }
  | { readonly problem: 'newer' }
  | { readonly problem: 'otherQuiz'; readonly title: string }
  | { readonly problem: 'noTicket'; readonly ticket: string }
  | { readonly problem: 'notSet'; readonly name: string }
  | { readonly problem: 'noRevision' }
  | { readonly problem: 'noneLeft'; readonly name: string };

/** What is worth a look in one that comes in. */
export type AnswersNote =
  | { readonly note: 'late' | 'tooLate' }
  /** The device's clock cannot be right: the paper counts as brought now, and is not late. */
  | { readonly note: 'clock'; readonly says: number }
  /** It was saved so many minutes after its time was over. */
  | { readonly note: 'overTime'; readonly minutes: number }
  /** So many answers are to questions that are not in the paper. */
  | { readonly note: 'gone'; readonly answers: number }
  /** So many answers cannot be read. */
  | { readonly note: 'unreadable'; readonly answers: number }
  /** It comes from another device than what was there. */
  | { readonly note: 'otherDevice' };

/** What becomes of a source. */
export type Judged =
  | ({ readonly source: string; readonly becomes: 'nothing' } & AnswersProblem)
  | {
      readonly source: string;
      /** `new`: an attempt; `later`: in place of what was brought before; `same` and `earlier` change nothing. */
      readonly becomes: 'new' | 'later' | 'same' | 'earlier';
      readonly studentId: string;
      readonly name: string;
      readonly attempt: number;
      readonly answers: number;
      readonly savedAt: number;
      readonly notes: readonly AnswersNote[];
    };

/** A change to an attempt that a source asks for. */
export interface Brought {
  readonly before: Attempt | null;
  readonly after: Attempt;
}

/** The quiz that answers are brought to, as it stands. */
export interface Target {
  readonly quizId: string;
  /** Ms since 1970. */
  readonly now: number;
  readonly newId: () => string;
  /** Whose ticket it is; null: nobody's. */
  readonly holderOf: (ticket: string) => { readonly id: string; readonly name: string } | null;
  readonly isSetTo: (studentId: string) => boolean;
  readonly windowOf: (studentId: string) => StudentWindow;
  /** How many attempts a student has on top of the window's. */
  readonly granted: (studentId: string) => number;
  /** The kinds of the questions at a revision, by their ids; null: there is no such revision. */
  readonly kindsAt: (revision: number) => ReadonlyMap<string, string> | null;
  /** Everyone's attempts. */
  readonly attempts: readonly Attempt[];
}

/** Most characters of one source, and of what a text unpacks to. */
export const LARGEST_SOURCE = 4_000_000;
const MINUTE = 60_000;
/** A device's clock may be so far ahead: ms. */
const CLOCK_AHEAD = 10 * MINUTE;
/** A save that was on its way when the time ended: ms. */
const LEEWAY = MINUTE;

type Parsed = { readonly file: AnswersFile } | AnswersProblem;

function parsedFile(text: string): Parsed {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    const isCut = text.includes('"yentrel-answers"') && !text.trimEnd().endsWith('}');
    return isCut ? { problem: 'cut' } : { problem: 'noAnswers', place: null };
  }
  const format = typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};
  if (format['format'] !== 'yentrel-answers') return { problem: 'noAnswers', place: null };
  if (typeof format['version'] === 'number' && format['version'] > 1) return { problem: 'newer' };
  const read = AnswersFile.safeParse(value);
  if (!read.success) return { problem: 'noAnswers', place: read.error.issues[0]?.path.join('.') ?? null };
  const { check, ...data } = read.data;
  return check === checkOf(data) ? { file: read.data } : { problem: 'changed' };
}

function parsedText(text: string): Parsed {
  const unpacked = unpackedText(text, LARGEST_SOURCE);
  if ('text' in unpacked) return parsedFile(unpacked.text);
  return { problem: unpacked.problem === 'damaged' ? 'changed' : unpacked.problem };
}

/** Everything that a source holds: a file is one, a pasted message may hold several. */
function parsed({ name, text }: Source): readonly { readonly source: string; readonly read: Parsed }[] {
  if (text.length > LARGEST_SOURCE) return [{ source: name, read: { problem: 'large' } }];
  const bare = text.replace(/^\uFEFF/, '').trim();
  if (bare.startsWith('{')) return [{ source: name, read: parsedFile(bare) }];
  const packed = packedIn(bare);
  if (packed.length === 0) return [{ source: name, read: { problem: 'noAnswers', place: null } }];
  return packed.map((one, at) => ({
    source: packed.length === 1 ? name : `${name}, text ${at + 1}`,
    read: parsedText(one),
  }));
}

/** The answers of a file, each checked by itself, with what of them is left out. */
function readAnswers(file: AnswersFile, kinds: ReadonlyMap<string, string>) {
  const answers: Record<string, Answer> = {};
  let gone = 0;
  let unreadable = 0;
  for (const [id, value] of Object.entries(file.answers)) {
    const kind = kinds.get(id);
    const answer = readAnswer(value);
    if (kind === undefined) gone++;
    else if (answer?.kind !== kind) unreadable++;
    else answers[id] = answer;
  }
  const notes: AnswersNote[] = [
    ...(gone > 0 ? [{ note: 'gone' as const, answers: gone }] : []),
    ...(unreadable > 0 ? [{ note: 'unreadable' as const, answers: unreadable }] : []),
  ];
  return { answers, notes };
}

/** When it was handed in, by the device's clock where that can be right. */
function handedIn({ begunAt, savedAt }: AnswersFile, now: number) {
  const isWrong = savedAt > now + CLOCK_AHEAD || begunAt > savedAt;
  return isWrong
    ? { at: now, timeKnown: false, notes: [{ note: 'clock' as const, says: savedAt }] }
    : { at: savedAt, timeKnown: true, notes: [] };
}

function timeNotes(file: AnswersFile, window: StudentWindow): AnswersNote[] {
  const timed = { begunAt: file.begunAt, limit: window.timeLimit, reopened: null };
  const end = endOf(timed, { ...window, until: null });
  const over = end === null ? 0 : file.savedAt - end;
  return [
    ...(isTooLate(window, file.savedAt)
      ? [{ note: 'tooLate' as const }]
      : isLate(window, file.savedAt)
        ? [{ note: 'late' as const }]
        : []),
    ...(over > LEEWAY ? [{ note: 'overTime' as const, minutes: Math.ceil(over / MINUTE) }] : []),
  ];
}

/** Where a file of answers goes among a student's attempts. */
type Place =
  | { readonly becomes: 'new'; readonly number: number; readonly before: null; readonly device: boolean }
  | { readonly becomes: 'later' | 'same' | 'earlier'; readonly before: Attempt; readonly device: boolean }
  | null;

function placeOf(
  file: AnswersFile,
  own: readonly Attempt[],
  most: number | null,
  answers: Attempt['answers'],
): Place {
  const known = own.find(({ brought }) => brought?.sitting === file.sitting);
  if (known) {
    const becomes = same(known.answers, answers)
      ? 'same'
      : file.number > (known.brought?.number ?? 0)
        ? 'later'
        : 'earlier';
    return { becomes, before: known, device: false };
  }
  const last = own.at(-1);
  if (most === null || own.length < most)
    return { becomes: 'new', number: (last?.number ?? 0) + 1, before: null, device: false };
  // One attempt on two devices: what was saved last counts.
  if (!last?.brought) return null;
  const becomes = same(last.answers, answers) ? 'same' : file.savedAt > last.savedAt ? 'later' : 'earlier';
  return { becomes, before: last, device: true };
}

interface OneJudged {
  readonly judged: Judged;
  readonly change: Brought | null;
}

function judgedFile(
  source: string,
  file: AnswersFile,
  target: Target,
  attempts: readonly Attempt[],
): OneJudged {
  const nothing = (problem: AnswersProblem): OneJudged => ({
    judged: { source, becomes: 'nothing', ...problem },
    change: null,
  });
  if (file.quizId !== target.quizId) return nothing({ problem: 'otherQuiz', title: file.title });
  const ticket = readTicket(file.ticket);
  const holder = target.holderOf('code' in ticket ? ticket.code : file.ticket);
  if (!holder) return nothing({ problem: 'noTicket', ticket: file.ticket });
  if (!target.isSetTo(holder.id)) return nothing({ problem: 'notSet', name: holder.name });
  const kinds = target.kindsAt(file.revision);
  if (!kinds) return nothing({ problem: 'noRevision' });
  const own = attempts.filter(({ studentId }) => studentId === holder.id).sort((a, b) => a.number - b.number);
  const window = target.windowOf(holder.id);
  const { answers, notes } = readAnswers(file, kinds);
  const most = window.attempts === null ? null : window.attempts + target.granted(holder.id);
  const place = placeOf(file, own, most, answers);
  if (!place) return nothing({ problem: 'noneLeft', name: holder.name });
  const when = handedIn(file, target.now);
  const told = {
    source,
    studentId: holder.id,
    name: holder.name,
    attempt: place.before?.number ?? (place.becomes === 'new' ? place.number : 1),
    answers: Object.keys(answers).length,
    savedAt: file.savedAt,
    notes: [
      ...notes,
      ...when.notes,
      ...(when.timeKnown ? timeNotes(file, window) : []),
      ...(place.device ? [{ note: 'otherDevice' as const }] : []),
    ],
  };
  if (place.becomes === 'same' || place.becomes === 'earlier')
    return { judged: { ...told, becomes: place.becomes }, change: null };
  const after: Attempt = {
    id: place.before?.id ?? target.newId(),
    quizId: target.quizId,
    studentId: holder.id,
    number: told.attempt,
    revision: file.revision,
    openedAt: when.timeKnown ? file.begunAt : when.at,
    savedAt: when.at,
    handedInAt: when.at,
    timeKnown: when.timeKnown,
    source: 'brought',
    answers,
    hints: {},
    seed: file.seed,
    ...(window.timeLimit === null ? {} : { limit: window.timeLimit }),
    brought: { sitting: file.sitting, number: file.number },
    saves: {},
    seq: 0,
  };
  return { judged: { ...told, becomes: place.becomes }, change: { before: place.before, after } };
}

/**
 * What becomes of each source, in the order in which they came, and the changes to attempts: one each, however many files of
 * one sitting there are, as the one with the largest number counts.
 */
export function takeIn(
  sources: readonly Source[],
  target: Target,
): { readonly judged: readonly Judged[]; readonly changes: readonly Brought[] } {
  const all = sources.flatMap(parsed);
  const inTurn = all
    .map((one, at) => ({ ...one, at }))
    .sort((a, b) => {
      const [first, second] = [a, b].map(({ read }) => ('file' in read ? read.file : null));
      return (first?.savedAt ?? 0) - (second?.savedAt ?? 0) || (first?.number ?? 0) - (second?.number ?? 0);
    });
  let attempts = target.attempts;
  const changes = new Map<string, Brought>();
  const judged: { readonly at: number; readonly one: Judged }[] = [];
  for (const { source, read, at } of inTurn) {
    if (!('file' in read)) {
      judged.push({ at, one: { source, becomes: 'nothing', ...read } });
      continue;
    }
    const { judged: one, change } = judgedFile(source, read.file, target, attempts);
    judged.push({ at, one });
    if (!change) continue;
    const { after } = change;
    attempts = [...attempts.filter(({ id }) => id !== after.id), after];
    changes.set(after.id, {
      before: changes.has(after.id) ? (changes.get(after.id)?.before ?? null) : change.before,
      after,
    });
  }
  return {
    judged: judged.sort((a, b) => a.at - b.at).map(({ one }) => one),
    changes: [...changes.values()],
  };
}
