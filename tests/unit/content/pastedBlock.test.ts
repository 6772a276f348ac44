import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { pastedBlock } from '@/core/content/pastedBlock';
import { kindOf } from '@/core/kinds';
import { newQuestion } from '@/core/quiz/newQuestion';

describe('a question with its options, out of a text that was pasted', () => {
  const options = (text: string) =>
    pastedBlock(text)?.options.map((one) => `${one.text}${one.right ? ' !' : ''}`);
  const CASES: [title: string, text: string, question: string | null, options: string[]][] = [
    ['letters and brackets', 'Where is it fastest?\na) outside ✓\nb) inside', 'Where is it fastest?', ['outside !', 'inside']],
    ['letters and stops', 'Where?\nA. outside\nB. inside (right)\nC. nowhere', 'Where?', ['outside', 'inside !', 'nowhere']],
    ['numbers', 'Where?\n1. outside\n2. inside', 'Where?', ['outside', 'inside']],
    ['dashes, empty lines between', 'Where?\r\n\r\n- outside\r\n\r\n- inside (Correct)\r\n', 'Where?', ['outside', 'inside !']],
    ['two lines of question', 'Look at the map.\nWhere is it fastest?\n• outside\n• inside', 'Look at the map. Where is it fastest?', ['outside', 'inside']],
    ['one option alone', 'Where?\na) outside', null, []],
    ['no question', 'a) outside\nb) inside', null, []],
    ['something behind the options', 'Where?\na) outside\nb) inside\nThink of the bend.', null, []],
    ['plain text', 'Water flows downhill.\nWhy?', null, []],
    ['a sentence that begins with a letter', 'A river\nbends', null, []],
  ]; // prettier-ignore
  for (const [title, text, question, wanted] of CASES)
    test(title, () => {
      assert.equal(pastedBlock(text)?.question ?? null, question);
      assert.deepEqual(options(text) ?? [], wanted);
    });

  test('options go into a question that has none yet, and into no other', () => {
    let at = 0;
    const newId = () => `id${at++}`;
    const given = [
      { text: 'outside', right: true },
      { text: 'inside', right: false },
    ];
    for (const kind of ['pickOne', 'pickSeveral'] as const) {
      const fresh = newQuestion(kind, undefined, newId);
      const filled = kindOf(fresh).withOptions(fresh, given, newId);
      assert.ok(filled && 'options' in filled && kindOf(filled).hasKey(filled));
      assert.deepEqual(filled.options.map(({ text }) => text), ['outside', 'inside']); // prettier-ignore
      assert.equal(kindOf(filled).withOptions(filled, given, newId), null);
    }
    const number = newQuestion('number', undefined, newId);
    assert.equal(kindOf(number).withOptions(number, given, newId), null);
  });
});
