import { zipSync } from 'fflate';
import { filledPage, type PaperPage } from '@/core/away/fillPage';
import { StoreError } from '@/device/failure';
import { paperForAll, papersForEach, studentsWithOwnTimes } from '@/store/work/papersOut';

/** Papers as files, made where they hold nobody up. */

export interface PaperWords {
  /** What is said where a preview of the file runs no scripts. */
  readonly noScripts: string;
}

/** Where the page of papers' files lies. */
const PAGE = '/paper.json';

async function paperPage(): Promise<PaperPage> {
  try {
    const response = await fetch(PAGE);
    if (!response.ok) throw new Error(`${PAGE}: ${response.status}`);
    return (await response.json()) as PaperPage;
  } catch {
    throw new StoreError('notLoaded', 'The page of papers could not be loaded');
  }
}

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

/** One file for everybody. */
export async function paperFile(quizId: string, { noScripts }: PaperWords): Promise<Uint8Array> {
  const page = await paperPage();
  return bytesOf(filledPage(page, await paperForAll(quizId), noScripts));
}

/** What files for single students are called by. */
export type NamedBy = 'number' | 'name';

/** Names of files, each another one. */
export function fileNames(): (wanted: string) => string {
  const taken = new Set<string>();
  return (wanted) => {
    const bare = wanted
      .normalize('NFC')
      .replace(/[^\p{L}\p{N}._-]+/gu, '-')
      .replace(/^[-.]+|[-.]+$/g, '')
      .slice(0, 60);
    const base = bare || 'student';
    let name = base;
    for (let times = 2; taken.has(name.toLocaleLowerCase()); times++) name = `${base}-${times}`;
    taken.add(name.toLocaleLowerCase());
    return name;
  };
}

/** A file for each student whom the quiz is set to, with their own times and tickets, packed together. */
export async function paperFiles(
  quizId: string,
  { noScripts }: PaperWords,
  by: NamedBy,
): Promise<{ readonly bytes: Uint8Array; readonly files: number }> {
  const page = await paperPage();
  const nameOf = fileNames();
  const parts: Record<string, Uint8Array> = {};
  await papersForEach(quizId, ({ student, paper }) => {
    const name = nameOf(by === 'name' ? student.name : student.number);
    parts[`${name}.html`] = bytesOf(filledPage(page, paper, noScripts));
  });
  return { bytes: zipSync(parts, { level: 6 }), files: Object.keys(parts).length };
}

/** The rules of style of papers' files, for other files of the same look. */
export async function paperStyle(): Promise<string> {
  const { page } = await paperPage();
  return /<style[^>]*>([\s\S]*?)<\/style>/.exec(page)?.[1] ?? '';
}

/** Pages in one zip, each under what it is called by. */
export function zippedPages(pages: readonly (readonly [wanted: string, page: string])[]): Uint8Array {
  const nameOf = fileNames();
  return zipSync(
    Object.fromEntries(pages.map(([wanted, page]) => [`${nameOf(wanted)}.html`, bytesOf(page)])),
    {
      level: 6,
    },
  );
}

/** What there is to say before a file is made. */
export async function papersOut(quizId: string): Promise<{ readonly ownTimes: number }> {
  return { ownTimes: await studentsWithOwnTimes(quizId) };
}
