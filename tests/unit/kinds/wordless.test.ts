import assert from 'node:assert/strict';
import { test } from 'node:test';
import { kindOf } from '@/core/kinds';
import { bestPossible } from '@/core/scoring/possible';
import { readyList } from '@/ui/words/readyList';
import { paperOf, pickOneQuestion } from '../support/support';

const picture = { hash: 'a'.repeat(64), alt: '', width: 4, height: 3, share: 50 } as const;

test('an option that is a picture without words counts as empty everywhere, and that is said', () => {
  const made = pickOneQuestion({ levee: '0', gorge: '0', right: '1' }, { id: 'q1' });
  const question = {
    ...made,
    text: [{ type: 'paragraph' as const, runs: [{ type: 'text' as const, text: 'Which?', marks: [] }] }],
    options: made.options.map((option) =>
      option.id === 'right' ? { ...option, text: '', picture } : option,
    ),
  };
  const paper = paperOf([question]);
  const face = kindOf(question).faceOf(question, 'x');
  assert.ok(face.kind === 'pickOne');
  assert.equal(face.options.length, 2);
  assert.equal(kindOf(question).hasKey(question), false);
  assert.deepEqual(bestPossible(paper).best, { n: 0, d: 1 });
  assert.ok(
    readyList(paper).some((text) => /a picture without words or a description/.test(text)),
    JSON.stringify(readyList(paper)),
  );
  const told = { ...question, options: question.options.map((one) => (one.picture ? { ...one, picture: { ...picture, alt: 'A wall beside the river' } } : one)) }; // prettier-ignore
  assert.deepEqual(readyList(paperOf([told])), []);
  assert.deepEqual(bestPossible(paperOf([told])).best, { n: 1, d: 1 });
});
