import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { readBackup } from '@/core/formats/quizFile/backup';
import { readQuizFile } from '@/core/formats/quizFile/quizFile';
import { verdictOfScore } from '@/core/scoring/scoreQuestion';
import { FORM_VERSION } from '@/core/formats/quizFile/schema';
import { db } from '@/store/records/db';
import { undo } from '@/store/records/history';
import { liveClass, workOf } from '@/workers/class/papers';
import { classDesk } from '@/workers/classDesk';

/** Files that the application wrote in its first form, and the scores that it showed for them then. */
const file = (name: string): Uint8Array => new Uint8Array(readFileSync(`tests/files/form-1/${name}`));

interface Frac {
  readonly n: number;
  readonly d: number;
}
type Line = [
  name: string, attempt: number, total: Frac, outOf: Frac, recorded: Frac | null, notCounted: string | null, cells: [verdict: string, earned: Frac][],
]; // prettier-ignore
const THEN = JSON.parse(readFileSync('tests/files/form-1/scores.json', 'utf8')) as { scores: Line[] };

async function scoresNow(quizId: string): Promise<Line[]> {
  const work = workOf(await liveClass(quizId));
  return work
    .flatMap((one) =>
      one.sheets.map((sheet): Line => [
        one.student?.name ?? '',
        sheet.attempt.number,
        sheet.total.score,
        sheet.total.outOf,
        one.recorded?.score ?? null,
        sheet.notCounted,
        sheet.scores.map((score): [string, Frac] => [verdictOfScore(score), score.earned]),
      ]),
    )
    .sort((a, b) => a[0].localeCompare(b[0]) || a[1] - b[1]);
}

test('a quiz file and a backup of the first form are read, and brought to the form of now', () => {
  const quiz = readQuizFile(file('quiz.yentrel'));
  assert.ok(quiz.ok, JSON.stringify(quiz));
  assert.equal(quiz.value.file.version, FORM_VERSION);
  const backup = readBackup(file('backup.yentrel'));
  assert.ok(backup.ok, JSON.stringify(backup));
  assert.deepEqual([backup.value.lost, backup.value.missing], [[], []]);
  assert.ok(backup.value.file.students.every((student) => student.email === ''));
  assert.ok(
    backup.value.quizzes.every(({ class: { attempts } }) =>
      attempts.every((one) => typeof one.timeKnown === 'boolean'),
    ),
  );
});

test('a backup of the first form gives the scores that it gave then, and its history undoes', async () => {
  const opened = await classDesk.openFile(file('backup.yentrel'));
  assert.ok(opened.ok && opened.value.kind === 'backup', JSON.stringify(opened));
  await classDesk.takeBackup(opened.value.token, { quizzes: {}, students: 'mine' });
  const [quiz] = await db.quizzes.toArray();
  assert.ok(quiz);
  const then = [...THEN.scores].sort((a, b) => a[0].localeCompare(b[0]) || a[1] - b[1]);
  assert.deepEqual(await scoresNow(quiz.id), then);
  assert.ok(await undo(quiz.id));
});
