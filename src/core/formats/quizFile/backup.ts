import { lineText } from '../../content/shownText';
import { upgradeFile } from '../../forms';
import {
  jsonBytes,
  namesIn,
  pack,
  parseJson,
  refused,
  unpackWhole,
  type Result,
  type Unpacked,
} from './archive';
import { checkClass, checkPictures, checkQuiz, checkSchool, checkSteps } from './checks';
import { fit } from './fit';
import { newerVersion, pictureParts, picturesIn, type Pictures } from './quizFile';
import { BackedQuiz, BackupFile } from './schema';

/** A whole Shelf: class list, quizzes with all work and every undo step, pictures. */
export interface Backup {
  readonly file: BackupFile;
  readonly quizzes: readonly BackedQuiz[];
  readonly pictures: Pictures;
}

const nameOf = (id: string): string => `quizzes/${id}.json`;

/** Writes a backup. The same content gives the same bytes. */
export function writeBackup({ file, quizzes, pictures }: Backup): Uint8Array {
  return pack(
    new Map([
      ['backup.json', jsonBytes(file)],
      ...quizzes.map((quiz) => [nameOf(quiz.quiz.id), jsonBytes(quiz)] as const),
      ...pictureParts(quizzes, pictures),
    ]),
  );
}

function readPart<Value>(
  { parts, damaged }: Unpacked,
  name: string,
  schema: Parameters<typeof fit<Value>>[0],
): Result<Value> {
  const bytes = parts.get(name);
  if (!bytes) return refused(damaged.get(name) ?? `${name} is not in the file.`);
  const data = parseJson(bytes);
  if (!data.ok) return refused(`${name} cannot be read: ${data.problems[0] ?? ''}.`);
  const newer = newerVersion(data.value);
  if (newer) return refused(newer);
  const read = fit(schema, upgradeFile(data.value));
  return read.ok ? read : refused(...read.problems.map((text) => `${name}: ${text}`));
}

/** A quiz of a backup that cannot be restored, and why. */
export interface LostQuiz {
  readonly id: string;
  /** Its title, where that at least can be read. */
  readonly title: string | null;
  readonly problems: readonly string[];
}

/** A backup as it was read: what is whole, and what is not. */
export interface ReadBackup extends Backup {
  readonly lost: readonly LostQuiz[];
  /** Pictures that quizzes show and the file does not hold: their descriptions stand in their place. */
  readonly missing: readonly string[];
}

function titleIn(parts: ReadonlyMap<string, Uint8Array>, id: string): string | null {
  const bytes = parts.get(nameOf(id));
  const data = bytes ? parseJson(bytes) : null;
  if (!data?.ok) return null;
  const title = (data.value as { quiz?: { content?: { title?: unknown } } } | null)?.quiz?.content?.title;
  return typeof title === 'string' ? lineText(title).slice(0, 300) : null;
}

const MOST_PROBLEMS = 10;

/** One quiz of a backup with everything checked, or what is wrong with it. */
function readQuiz(unpacked: Unpacked, id: string, file: BackupFile): Result<BackedQuiz> {
  const one = readPart(unpacked, nameOf(id), BackedQuiz);
  if (!one.ok) return one;
  const { quiz, class: part } = one.value;
  const found = [
    ...(quiz.id === id ? [] : ['its id differs from its file name']),
    ...checkQuiz(quiz),
    ...checkClass(quiz.id, part, file.students),
    ...checkSteps(quiz.id, one.value.history),
  ];
  return found.length > 0
    ? refused(...found.slice(0, MOST_PROBLEMS).map((text) => `${nameOf(id)}: ${text}`))
    : one;
}

/**
 * Reads a backup. Everything is checked as in a quiz file; a quiz that does not hold is named and left out, the others are
 * read all the same. Refused as a whole is only what cannot be unpacked, or has no list of its quizzes and students.
 */
export function readBackup(bytes: Uint8Array): Result<ReadBackup> {
  const unpacked = unpackWhole(bytes);
  if (!unpacked.ok) return unpacked;
  const { parts } = unpacked.value;
  const read = readPart(unpacked.value, 'backup.json', BackupFile);
  if (!read.ok) return read;
  const file = read.value;
  const listed = [
    ...checkSchool(file),
    ...file.histories.flatMap(({ scope, steps }) => checkSteps(scope, steps)),
  ];
  if (listed.length > 0) return refused(...listed);
  const twice = file.quizzes.find((id, at) => file.quizzes.indexOf(id) !== at);
  if (twice !== undefined) return refused(`backup.json names the quiz “${twice}” twice.`);
  const pictures = picturesIn(parts);
  const quizzes: BackedQuiz[] = [];
  const lost: LostQuiz[] = [];
  const missing: string[] = [];
  for (const id of file.quizzes) {
    const one = readQuiz(unpacked.value, id, file);
    if (!one.ok) {
      lost.push({ id, title: titleIn(parts, id), problems: one.problems });
      continue;
    }
    quizzes.push(one.value);
    const { quiz, class: part } = one.value;
    for (const text of checkPictures([quiz, part], pictures)) missing.push(`${quiz.content.title}: ${text}`);
  }
  return { ok: true, value: { file, quizzes, pictures, lost, missing } };
}

/** True for a backup, by the names in it alone. */
export const isBackup = (bytes: Uint8Array): boolean => namesIn(bytes).includes('backup.json');
