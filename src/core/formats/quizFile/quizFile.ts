import { paperFrom, placedIn } from '../../quiz/paper';
import { pictureHashes } from '../../content/pictureHashes';
import { upgradeFile, upgradeRescue } from '../../forms';
import { RescueFile } from '../../quiz/quiz';
import {
  isJson,
  jsonBytes,
  LARGEST,
  MOST_PIECES,
  pack,
  parseJson,
  refused,
  unpack,
  type Parts,
  type Result,
} from './archive';
import { checkClass, checkPictures, checkQuiz, checkSchool, checkShares } from './checks';
import { fit } from './fit';
import { FORM_VERSION, QuizFile } from './schema';

/** Pictures by their hash. */
export type Pictures = ReadonlyMap<string, Uint8Array>;

export interface ReadQuiz {
  readonly file: QuizFile;
  readonly pictures: Pictures;
  /** Of a rescue file: texts that belong to no quiz. */
  readonly texts: RescueFile['texts'];
}

/** How much a file may unpack to: bytes, and values in its JSON. */
export interface Most {
  readonly unpacked: number;
  readonly pieces: number;
}

const MOST_PROBLEMS = 10;

/** What is said of a file by a newer version than this one knows; null where the version is known. */
export function newerVersion(data: unknown): string | null {
  const version =
    typeof data === 'object' && data !== null ? (data as { version?: unknown }).version : undefined;
  if (typeof version !== 'number' || !(version > FORM_VERSION)) return null;
  return `The file was written by a newer Yentrel. It uses format version ${version}; this Yentrel reads up to version ${FORM_VERSION}. Nothing was imported.`;
}

/** A file from before there were quiz files: all that was typed, as the browser offered it when it could store nothing. */
function fromRescue(data: object, zone: string): Result<QuizFile> {
  const read = fit(RescueFile, upgradeRescue(data, zone));
  if (!read.ok) return read;
  const { content, questions, placements } = read.value;
  const quiz = { id: 'rescued', content, questions, placements, createdAt: 0, changedAt: 0 };
  return {
    ok: true,
    value: { format: 'yentrel-quiz', version: FORM_VERSION, quiz, share: null, class: null },
  };
}

/** The texts of a rescue file; none of any other. */
function textsIn(data: unknown, zone: string): RescueFile['texts'] {
  const rescue = RescueFile.safeParse(upgradeRescue(data, zone));
  return rescue.success ? rescue.data.texts : [];
}

/** What is written as JSON, brought up to date and checked; pictures are not looked at. */
export function readQuizData(data: unknown, zone = 'UTC'): Result<QuizFile> {
  const format =
    typeof data === 'object' && data !== null ? (data as { format?: unknown }).format : undefined;
  if (format === 'yentrel-rescue') return fromRescue(data as object, zone);
  const newer = newerVersion(data);
  if (newer) return refused(newer);
  const read = fit(QuizFile, upgradeFile(data));
  if (!read.ok) return read;
  const { quiz, class: part } = read.value;
  const found = [
    ...checkQuiz(quiz),
    ...checkShares(quiz),
    ...(part ? [...checkSchool(part), ...checkClass(quiz.id, part, part.students)] : []),
  ];
  return found.length > 0 ? refused(...found.slice(0, MOST_PROBLEMS)) : read;
}

/** The pictures among a file's parts. */
export const picturesIn = (parts: Parts): Pictures =>
  new Map(
    [...parts].flatMap(([name, bytes]) =>
      name.startsWith('pictures/') ? [[name.slice('pictures/'.length), bytes] as const] : [],
    ),
  );

/** Pictures as parts of a file: only those that the content shows. */
export function pictureParts(content: unknown, pictures: Pictures): [string, Uint8Array][] {
  return [...pictureHashes(content)].flatMap((hash) => {
    const bytes = pictures.get(hash);
    return bytes ? [[`pictures/${hash}`, bytes] as [string, Uint8Array]] : [];
  });
}

/** Writes a quiz file (`.yentrel`): see `docs/file-formats.md`. The same content gives the same bytes. */
export function writeQuizFile(file: QuizFile, pictures: Pictures): Uint8Array {
  const { questions, placements } = paperFrom(file.quiz.content, placedIn(file.quiz));
  const written = { ...file, quiz: { ...file.quiz, questions, placements } };
  return pack(new Map([['quiz.json', jsonBytes(written)], ...pictureParts(written, pictures)]));
}

/**
 * Reads a quiz file, or a rescue file of any version. Everything is checked: the zip, hashes, the form of each record,
 * references and pictures. Never throws for what is in the file, and never unpacks to more than `most` says.
 */
export function readQuizFile(
  bytes: Uint8Array,
  zone = 'UTC',
  most: Most = { unpacked: LARGEST.unpacked, pieces: MOST_PIECES },
): Result<ReadQuiz> {
  if (isJson(bytes)) {
    const data = parseJson(bytes, most.pieces);
    if (!data.ok) return refused(`This is not a quiz file: ${data.problems[0] ?? ''}.`);
    const file = readQuizData(data.value, zone);
    if (!file.ok) return file;
    const lost = checkPictures(file.value, new Map());
    return lost.length > 0
      ? refused(...lost)
      : { ok: true, value: { file: file.value, pictures: new Map(), texts: textsIn(data.value, zone) } };
  }
  const parts = unpack(bytes, most.unpacked);
  if (!parts.ok) return parts;
  const json = parts.value.get('quiz.json');
  if (!json)
    return refused(
      parts.value.has('backup.json')
        ? 'This is a backup of a whole Shelf, not a single quiz.'
        : 'The file does not contain a quiz.',
    );
  const data = parseJson(json, most.pieces);
  if (!data.ok) return refused(`quiz.json cannot be read: ${data.problems[0] ?? ''}.`);
  const file = readQuizData(data.value, zone);
  if (!file.ok) return file;
  const pictures = picturesIn(parts.value);
  const lost = checkPictures(file.value, pictures);
  return lost.length > 0 ? refused(...lost) : { ok: true, value: { file: file.value, pictures, texts: [] } };
}
