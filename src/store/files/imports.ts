import type { ColumnUse } from '@/core/formats/answerColumns';
import type { ReadChoices, ReadPaper } from '@/core/formats/answerFile';
import { planImport, type ExistingWork, type ImportReport } from '@/core/formats/importPlan';
import type { Paper } from '@/core/quiz/quiz';
import { everybody } from '../class/roster';
import { attemptsOf } from '../work/attempts';
import { now } from '@/device/clock';
import { db, type MappingRecord } from '../records/db';
import { StoreError } from '@/device/failure';
import { EDIT_TABLES, record } from '../records/steps';
import { newId } from '@/device/ids';
import { head } from '../quiz/quizzes';
import { ofQuiz } from '../records/ofQuiz';
import { REVISION_TABLES, settle } from '../quiz/revisions';

/** Everyone's work at a quiz, with what the teacher scored and ruled. */
export async function existingWork(quizId: string): Promise<ExistingWork> {
  const [attempts, overrides, rulings] = await Promise.all([
    attemptsOf(quizId),
    ofQuiz.overrides(quizId).toArray(),
    ofQuiz.rulings(quizId).toArray(),
  ]);
  return { attempts, overrides, rulings };
}

/** Imports papers from a file, all in one transaction and as one step that can be undone. `paper` is the quiz's key. */
export const importPapers = (
  quizId: string,
  papers: readonly ReadPaper[],
  paper: Paper,
): Promise<ImportReport & { readonly step: number | null }> =>
  db.transaction('rw', [...new Set([...REVISION_TABLES, ...EDIT_TABLES])], async () => {
    const at = now();
    if (papers.length > 0) await settle(quizId, at);
    const { standing } = await head(quizId);
    const [set] = standing.setTo;
    // Nobody could come onto any list, nor any paper count.
    if (!set) throw new StoreError('conflict', 'The quiz is set for no class');
    const target = {
      quizId,
      paper,
      revision: standing.live ?? 1,
      at,
      newId,
      classId: set.classId,
      groups: set.group === null ? [] : [set.group],
      people: await everybody(),
      members: await db.members.filter(({ classId }) => classId === set.classId).toArray(),
    };
    const { changes, report } = planImport(papers, await existingWork(quizId), target);
    const step =
      changes.length > 0
        ? await record(quizId, changes, { label: 'Import an answer file', field: '' })
        : null;
    return { ...report, step };
  });

/** What the columns of the last file of this quiz held, by heading; nothing before the first. */
export const mappingOf = (quizId: string): Promise<MappingRecord | undefined> => db.mappings.get(quizId);

/** The most headings that are remembered; more than any two files have. */
const MOST_REMEMBERED = 2000;
const LONGEST_HEADING = 20_000;

/**
 * Remembers with the quiz what the columns of a file hold, and how a student who is in it twice is imported. Of too
 * many headings those of this file and the newest others are kept.
 */
export async function rememberMapping(
  quizId: string,
  header: readonly string[],
  columns: readonly ColumnUse[],
  twice: ReadChoices['twice'],
): Promise<void> {
  const kept = new Map((await mappingOf(quizId))?.columns);
  header.forEach((heading, index) => {
    kept.delete(heading);
    if (heading.length <= LONGEST_HEADING) kept.set(heading, columns[index] ?? { use: 'ignored' });
  });
  await db.mappings.put({ quizId, columns: [...kept].slice(-MOST_REMEMBERED), twice });
}
