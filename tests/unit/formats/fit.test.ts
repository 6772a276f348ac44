import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { strToU8, zipSync } from 'fflate';
import { parseJson } from '@/core/formats/quizFile/archive';
import { fit, overlong } from '@/core/formats/quizFile/fit';
import { readQuizFile } from '@/core/formats/quizFile/quizFile';
import { QuizFile } from '@/core/formats/quizFile/schema';
import { canonical } from '@/core/figures/deepEqual';
import { DEMO_FILE } from '../../generated';

type Json = Record<string, never>;
const demo = () => JSON.parse(canonical(DEMO_FILE)) as { quiz: Json & { questions: Json[] }; class: Json };

/** What is wrong with a demo file of which something was changed. */
function problems(change: (file: ReturnType<typeof demo>) => void): readonly string[] {
  const file = demo();
  change(file);
  const read = readQuizFile(strToU8(JSON.stringify(file)));
  return read.ok ? [] : read.problems;
}

describe('what is in a file', () => {
  it('is what its schema makes of it, whether in one piece or entry by entry', () => {
    const file = demo();
    const attempts = Array.from({ length: 250 }, (_, at) => ({
      id: `a-${at}`, quizId: 'q', studentId: 's', number: at + 1, revision: 1, openedAt: 1, savedAt: 1, handedInAt: 1,
      timeKnown: true, source: 'sat', answers: {}, hints: {}, seed: 1, saves: {}, seq: at,
    })); // prettier-ignore
    const made = { ...file, class: { ...withNobody(), attempts } };
    const read = fit(QuizFile, made);
    assert.deepEqual(read, { ok: true, value: QuizFile.parse(made) });
    const broken = { ...made, class: { ...made.class, attempts: attempts.map((one, at) => (at > 200 ? null : one)) } }; // prettier-ignore
    const found = fit(QuizFile, broken);
    assert.equal(found.ok, false);
    assert.match(found.ok ? '' : (found.problems[0] ?? ''), /^attempt 202 is empty, a record is needed$/);
    assert.equal(found.ok ? 0 : found.problems.length, 11);
  });

  it('is refused by the length of a list, whatever is in it', () => {
    const long = new Array(501).fill(null);
    assert.deepEqual(
      problems((file) => Object.assign(file.quiz, { questions: long })),
      ['questions is a list, at most 500 entries'],
    );
    const deep = problems((file) => {
      const [first] = file.quiz.questions;
      Object.assign(first as Json, { hints: new Array(100_000).fill(0) });
    });
    assert.match(deep[0] ?? '', /^question 1: hints is a list, at most \d+ entries$/);
    assert.equal(overlong(QuizFile, demo()), null);
  });

  it('is refused where its shares cannot be added in exact figures, with the place of the one too many', () => {
    const found = problems((file) => {
      const [first] = file.quiz.questions;
      const { options } = first as unknown as { options: { credit: object }[] };
      for (const [at, d] of [999_983, 999_979, 999_961].entries())
        Object.assign(options[at] ?? {}, { credit: { n: 1, d } });
    });
    assert.deepEqual(found, [
      'question 1, option 3: credit is 1/999961, which cannot be added to the other shares of the quiz in exact figures',
    ]);
  });

  it('is refused by its size before it is read: values, depth, and what a zip says that it holds', () => {
    assert.deepEqual(parseJson(strToU8(`[${'0,'.repeat(100)}0]`), 50), {
      ok: false,
      problems: ['it has more than 50 values'],
    });
    assert.ok(
      parseJson(strToU8('["a,b:[{,,,,", "\\"[[[[[,,,,"]'), 3).ok,
      'signs inside of texts are not counted',
    );
    assert.deepEqual(parseJson(strToU8('['.repeat(5000))), {
      ok: false,
      problems: ['it is nested deeper than 100'],
    });
    const started = performance.now();
    const junk = strToU8(`{"format":"yentrel-quiz","version":11,"quiz":[${'[],'.repeat(9_000_000)}[]]}`);
    const zip = zipSync({ 'quiz.json': junk }, { level: 1 });
    assert.ok(zip.length < 1_000_000);
    const read = readQuizFile(zip);
    assert.ok(!read.ok && /more than 8000000 values/.test(read.problems[0] ?? ''), JSON.stringify(read));
    assert.ok(performance.now() - started < 10_000);
  });
});

/** A class part in which nothing happened. */
const withNobody = () => ({
  standing: { opening: null, windows: [], plans: [], acts: [], kept: [], known: [], pauses: [], granted: {}, setTo: [], live: null },
  firstHandInAt: null, revisions: [], questionRevisions: [], students: [], classes: [], members: [], attempts: [], overrides: [], rulings: [], comments: [], looks: [],
}); // prettier-ignore
