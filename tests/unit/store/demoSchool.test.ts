import { idOf } from '../../../demo/words';
import 'fake-indexeddb/auto';
import '../support/drawings';
import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { before, describe, test } from 'node:test';
import { pictureHashes } from '@/core/content/pictureHashes';
import { KIND_NAMES, Question, readCell } from '@/core/kinds';
import { QuizContent } from '@/core/quiz/quiz';
import { ensureDemo } from '@/store/demo/demo';
import { pictureBlob } from '@/store/quiz/pictures';
import { db } from '@/store/records/db';
import { quizCounts, tray } from '@/views/tray';
import { classDesk } from '@/workers/classDesk';
import { readingOf } from '@/core/scoring/context';
import drawn from '../../../demo/pictures/pictures.json';
import { SCHOOL } from '../../../demo/school';
import { checkTable } from '@/views/check';

describe('the demo school', () => {
  before(ensureDemo);

  for (const { quiz, papers } of SCHOOL)
    test(`${quiz.content.title}: fits its schema, and every answer is read`, () => {
      for (const question of quiz.questions) Question.parse(question);
      QuizContent.parse({ ...quiz.content, zone: 'Europe/Berlin' });
      for (const { studentId, written } of papers) {
        assert.ok(studentId);
        assert.equal(written.length, quiz.questions.length, written.join('|'));
        quiz.questions.forEach((question, at) => {
          const cell = written[at] ?? '';
          const { answer } = readCell(question, cell, readingOf(question, quiz.content));
          assert.ok(cell === '' || answer?.kind === question.kind, `${question.id}: “${cell}”`);
        });
      }
    });

  test('seven quizzes in all states, with what each waits for', async () => {
    const at = Date.now();
    const rows = await Promise.all(
      SCHOOL.map(async ({ quiz: { id } }) => {
        const { opening } = (await db.quizzes.get(id))?.standing ?? assert.fail();
        const state =
          opening === null ? 'draft'
          : opening.from > at ? 'scheduled'
          : opening.until !== null && opening.until > at ? 'open'
          : 'closed'; // prettier-ignore
        const { finished, expected, waiting, shown } = await quizCounts(id);
        return [id, state, `${finished} of ${expected}`, waiting, shown];
      }),
    );
    assert.deepEqual(rows, [
      ['demo-deltas', 'draft', '0 of 26', 0, 0],
      ['demo-flow', 'scheduled', '10 of 22', 0, 10],
      ['demo-rivers', 'open', '24 of 26', 3, 24],
      ['demo-floods', 'closed', '21 of 22', 9, 0],
      ['demo-journey', 'closed', '22 of 22', 19, 0],
      ['demo-maps', 'closed', '13 of 13', 0, 13],
      ['demo-cycle', 'closed', '46 of 48', 0, 46],
    ]);
  });

  test('one has three groups: one has sat, late, twice or not at all, one is sitting, with an exception, one will', async () => {
    const rows = await tray('demo-flow');
    const states = (group: string) =>
      rows
        .filter(({ groups }) => groups.includes(group))
        .map(({ state }) => state)
        .sort();
    assert.deepEqual(states('field group 1'), [...Array<string>(6).fill('handedIn'), 'late', 'notOpened']);
    assert.deepEqual(states('field group 2'), [
      ...Array<string>(3).fill('handedIn'),
      ...Array<string>(3).fill('notOpened'),
      'working',
    ]);
    assert.deepEqual(states('field group 3'), Array<string>(7).fill('notOpened'));
    assert.deepEqual(rows.filter(({ attempts }) => attempts === 2).length, 1);
    const { lanes, leaks } = await classDesk.planView('demo-flow');
    assert.equal(lanes.length, 5, 'three groups and two exceptions');
    assert.ok(leaks.length > 0);
  });

  test('every kind of question is in it', () => {
    const kinds = new Set(SCHOOL.flatMap(({ quiz }) => quiz.questions.map(({ kind }) => kind)));
    assert.deepEqual([...kinds].sort(), [...KIND_NAMES].sort());
  });

  test('papers were late, collected at the end, and given a score by the teacher', async () => {
    const floods = await checkTable('demo-floods');
    assert.equal(floods.rows.length, 21);
    const maps = await db.overrides.toArray();
    assert.deepEqual(maps.map(({ quizId, questionId }) => [quizId, questionId]), [['demo-maps', idOf('q-ridge')]]); // prettier-ignore
  });

  test('every drawing is there as it is named, and every picture of a quiz is kept', async () => {
    const names = readdirSync('demo/pictures').filter((file) => file.endsWith('.svg'));
    assert.deepEqual(names.map((file) => file.replace('.svg', '')).sort(), Object.keys(drawn).sort());
    for (const [name, { hash }] of Object.entries(drawn)) {
      const bytes = readFileSync(`demo/pictures/${name}.webp`);
      assert.equal(createHash('sha256').update(bytes).digest('hex'), hash, name);
      assert.ok(existsSync(`demo/pictures/${name}.svg`));
      assert.equal((await pictureBlob(hash))?.size, bytes.length, 'fetched when it is first asked for');
      assert.equal((await db.media.get(hash))?.blob.size, bytes.length, 'and kept from then on');
    }
    const shown = pictureHashes([await db.questions.toArray(), await db.quizzes.toArray()]);
    assert.equal(shown.size, Object.keys(drawn).length);
    for (const hash of shown) assert.ok(await pictureBlob(hash));
    assert.equal(await pictureBlob('0'.repeat(64)), null);
  });
});

describe('a drawing that cannot be kept, or not be had', () => {
  const hash = drawn.valley.hash;
  test('is shown all the same where there is no room', async () => {
    await db.media.clear();
    const { put } = db.media;
    db.media.put = () =>
      Promise.reject(new DOMException('No room left (test)', 'QuotaExceededError')) as never;
    try {
      assert.ok((await pictureBlob(hash))?.size);
    } finally {
      db.media.put = put;
    }
    assert.equal(await db.media.count(), 0);
  });
  test('gives its description its place without the server, and comes with it', async () => {
    const beyond = globalThis.fetch;
    globalThis.fetch = () => Promise.reject(new TypeError('no server (test)'));
    try {
      assert.equal(await pictureBlob(hash), null);
    } finally {
      globalThis.fetch = beyond;
    }
    assert.ok((await pictureBlob(hash))?.size);
  });
});
