import { jsonBytes, namesIn, pack, parseJson, refused, unpack, type Result } from './archive';
import { checkClass, checkPictures, checkQuiz, checkStudents } from './checks';
import { fit, newerVersion, pictureParts, picturesIn, type Pictures } from './quizFile';
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
  parts: ReadonlyMap<string, Uint8Array>,
  name: string,
  schema: Parameters<typeof fit<Value>>[0],
): Result<Value> {
  const bytes = parts.get(name);
  if (!bytes) return refused(`${name} is not in the file.`);
  const data = parseJson(bytes);
  if (!data.ok) return refused(`${name} cannot be read as JSON.`);
  const newer = newerVersion(data.value);
  if (newer) return refused(newer);
  const read = fit(schema, data.value);
  return read.ok ? read : refused(...read.problems.map((text) => `${name}: ${text}`));
}

/** Reads a backup, all of it or nothing. Everything is checked as in a quiz file. Never throws for what is in it. */
export function readBackup(bytes: Uint8Array): Result<Backup> {
  const parts = unpack(bytes);
  if (!parts.ok) return parts;
  const read = readPart(parts.value, 'backup.json', BackupFile);
  if (!read.ok) return read;
  const file = read.value;
  const listed = checkStudents(file.students);
  if (listed.length > 0) return refused(...listed);
  const pictures = picturesIn(parts.value);
  const quizzes: BackedQuiz[] = [];
  for (const id of file.quizzes) {
    const one = readPart(parts.value, nameOf(id), BackedQuiz);
    if (!one.ok) return one;
    const { quiz, class: part } = one.value;
    const found = [
      ...(quiz.id === id ? [] : ['its id is another one than its name says']),
      ...checkQuiz(quiz),
      ...checkClass(quiz.id, part, file.students),
      ...checkPictures([quiz, part], pictures),
    ];
    if (found.length > 0) return refused(...found.slice(0, 10).map((text) => `${nameOf(id)}: ${text}`));
    quizzes.push(one.value);
  }
  const twice = file.quizzes.find((id, at) => file.quizzes.indexOf(id) !== at);
  if (twice !== undefined) return refused(`backup.json names the quiz “${twice}” twice.`);
  return { ok: true, value: { file, quizzes, pictures } };
}

/** True for a backup, by the names in it alone. */
export const isBackup = (bytes: Uint8Array): boolean => namesIn(bytes).includes('backup.json');
