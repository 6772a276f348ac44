import type { ColumnUse } from '@/core/formats/answerColumns';
import { FROM_FILE, type ReadChoices, type ReadPaper } from '@/core/formats/answerFile';
import type { Fraction } from '@/core/figures/fraction';
import type { Attempt } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import { same } from '@/core/quiz/same';
import { now } from './clock';
import { db, type MappingRecord, type RecordChange } from './db';
import { EDIT_TABLES, record } from './history';
import { newId } from './ids';
import { newStudent } from './roster';
import { REVISION_TABLES, settle } from './revisions';
import { noRuling } from './rulings';

/** What an import did, in numbers of papers. */
export interface ImportReport {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** What differs in the papers that were there before. */
  readonly differences: readonly { readonly line: number; readonly name: string; readonly what: string }[];
  /** Students who handed in on screen: their work stays. */
  readonly refused: readonly { readonly line: number; readonly name: string }[];
  readonly newStudents: number;
}

interface Known {
  readonly attempts: ReadonlyMap<string, readonly Attempt[]>;
  readonly overrides: ReadonlyMap<string, Override>;
  readonly notes: ReadonlyMap<string, string>;
}

async function known(quizId: string): Promise<Known> {
  const attempts = new Map<string, Attempt[]>();
  const all = await db.attempts.where('[quizId+seq]').between([quizId, 0], [quizId, Infinity]).toArray();
  for (const attempt of all) {
    const own = attempts.get(attempt.studentId);
    if (own) own.push(attempt);
    else attempts.set(attempt.studentId, [attempt]);
  }
  const [overrides, rulings] = await Promise.all([
    db.overrides
      .where('[quizId+attemptId+questionId]')
      .between([quizId, '', ''], [quizId, '\uffff', '\uffff'])
      .toArray(),
    db.rulings.where('[quizId+attemptId]').between([quizId, ''], [quizId, '\uffff']).toArray(),
  ]);
  return {
    attempts,
    overrides: new Map(overrides.map((one) => [`${one.attemptId}/${one.questionId}`, one])),
    notes: new Map(rulings.map((one) => [one.attemptId, one.note])),
  };
}

/** The attempt as the file has it; what the file does not say stays. */
function attemptFrom(
  quizId: string,
  studentId: string,
  paper: ReadPaper,
  before: Attempt | null,
  revision: number,
  at: number,
  reading: Reading,
): Attempt {
  const kept = before?.handedInAt ?? null;
  const told = paper.handedInAt !== null && kept !== null && reading.sameTime(kept, paper.handedInAt) ? kept : paper.handedInAt; // prettier-ignore
  const handedInAt = told ?? kept ?? at;
  return {
    id: before?.id ?? newId(),
    quizId,
    studentId,
    number: paper.attempt,
    revision: before?.revision ?? revision,
    openedAt: told === kept && before ? before.openedAt : (told ?? at),
    savedAt: at,
    handedInAt,
    source: 'file',
    answers: before ? reading.answers(paper, before.answers) : paper.answers,
    seq: 0,
  };
}

/** What the quiz's key makes of a paper of the file. */
export interface Reading {
  /** The answers as the file has them; one that the file writes as it was written before stays what it was. */
  answers(paper: ReadPaper, before: Attempt['answers']): Attempt['answers'];
  /** True where the file's time is the one from before, as the file writes it. */
  sameTime(before: number, after: number): boolean;
  /** True for points that a file writes alike. */
  samePoints(a: Fraction, b: Fraction): boolean;
  /** What marking alone gives for an answer that has points given by hand. */
  marked(paper: ReadPaper, questionId: string): Fraction | null;
  /** What differs between the answers from before and now, in words. */
  differ(before: Attempt['answers'], after: Attempt['answers']): readonly string[];
}

/** Own scores and the note of one paper, where they differ from what is there. */
function alongside(
  quizId: string,
  attemptId: string,
  paper: ReadPaper,
  there: Known,
  at: number,
  reading: Reading,
): RecordChange[] {
  const changes: RecordChange[] = [];
  for (const [questionId, points] of Object.entries(paper.points)) {
    const before = there.overrides.get(`${attemptId}/${questionId}`) ?? null;
    if (before && reading.samePoints(before.points, points)) continue;
    const gave = reading.marked(paper, questionId);
    // Points that marking gives by itself are no own score.
    if (!before && gave && reading.samePoints(gave, points)) continue;
    const after = { quizId, attemptId, questionId, points, reason: FROM_FILE, at, gave };
    changes.push({ kind: 'override', attemptId, questionId, before, after });
  }
  if (paper.note !== '' && paper.note !== (there.notes.get(attemptId) ?? '')) {
    const after = { ...noRuling(quizId, attemptId), note: paper.note };
    changes.push({ kind: 'ruling', attemptId, before: null, after });
  }
  return changes;
}

function differenceOf(
  before: Attempt,
  after: Attempt,
  more: readonly RecordChange[],
  reading: Reading,
): string {
  return [
    ...reading.differ(before.answers, after.answers),
    before.handedInAt !== after.handedInAt ? 'the time of handing in' : '',
    more.some((change) => change.kind === 'override') ? 'points given by hand' : '',
    more.some((change) => change.kind === 'ruling') ? 'the note' : '',
  ].filter(Boolean).join('; '); // prettier-ignore
}

/**
 * Takes papers from a file, all in one transaction and as one step that can be undone. A paper that came from a
 * file before is brought up to date; `reading` is the quiz's key.
 */
export const importPapers = (
  quizId: string,
  papers: readonly ReadPaper[],
  reading: Reading,
): Promise<ImportReport> =>
  db.transaction('rw', [...new Set([...REVISION_TABLES, ...EDIT_TABLES])], async () => {
    const at = now();
    if (papers.length > 0) await settle(quizId, at);
    const quiz = await db.quizzes.get(quizId);
    if (!quiz) throw new Error(`No quiz ${quizId}`);
    const there = await known(quizId);
    const changes: RecordChange[] = [];
    const counts = { added: 0, changed: 0, unchanged: 0, newStudents: 0 };
    const refused: { line: number; name: string }[] = [];
    const differences: { line: number; name: string; what: string }[] = [];
    const fresh = new Map<string, string>();
    for (const paper of papers) {
      const { line, name } = paper;
      const key = `${paper.name}|${paper.number}`;
      let studentId = paper.studentId ?? fresh.get(key);
      if (studentId === undefined) {
        studentId = newId();
        fresh.set(key, studentId);
        const after = { ...newStudent(studentId, paper.name), number: paper.number };
        changes.push({ kind: 'student', id: studentId, before: null, after });
        counts.newStudents++;
      }
      const own = there.attempts.get(studentId) ?? [];
      const before = own.find((attempt) => attempt.number === paper.attempt) ?? null;
      const after = attemptFrom(quizId, studentId, paper, before, quiz.standing.live ?? 1, at, reading);
      const moved = !before || !same(before.answers, after.answers) || before.handedInAt !== after.handedInAt;
      // What was handed in on screen stays as it is; points and a note may come from a file all the same.
      if (moved && own.some((attempt) => attempt.source === 'sat')) {
        refused.push({ line, name });
        continue;
      }
      const more = alongside(quizId, after.id, paper, there, at, reading);
      if (!moved && more.length === 0) {
        counts.unchanged++;
        continue;
      }
      if (moved) changes.push({ kind: 'attempt', id: after.id, before, after });
      changes.push(...more);
      if (before) differences.push({ line, name, what: differenceOf(before, after, more, reading) });
      counts[before ? 'changed' : 'added']++;
    }
    if (changes.length > 0) await record(quizId, changes, { label: 'Take in an answer file', field: '' });
    return { ...counts, differences, refused };
  });

/** What the columns of the last file of this quiz held, by heading; nothing before the first. */
export const mappingOf = (quizId: string): Promise<MappingRecord | undefined> => db.mappings.get(quizId);

/** Remembers with the quiz what the columns of a file hold, and how a student who stands in it twice is taken. */
export async function rememberMapping(
  quizId: string,
  header: readonly string[],
  columns: readonly ColumnUse[],
  twice: ReadChoices['twice'],
): Promise<void> {
  const kept = new Map((await mappingOf(quizId))?.columns);
  header.forEach((heading, index) => kept.set(heading, columns[index] ?? { use: 'ignored' }));
  await db.mappings.put({ quizId, columns: [...kept], twice });
}
