import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { columnRemarks, proposeColumns, type ColumnUse } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, readPapers } from '@/core/formats/answerFile';
import { questionHeadings } from '@/core/formats/scoresFile';
import { readTable, type Table } from '@/core/formats/table';
import { namesOf, numbersOf } from '@/core/quiz/numbers';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, variant } from '../support/support';

const ask = (id: string) => phraseQuestion([variant('v', ['silt'])], {}, { id });
const note = (id: string) => ({ ...filledQuestion('note', {}), id });
/** Two notes among four questions: with notes counted they are 1, 3, 4, 6, without 1, 2, 3, 4. */
const PAPER = paperOf([ask('a'), note('n1'), ask('b'), ask('c'), note('n2'), ask('d')]);

function table(heads: readonly string[]): Table {
  const read = readTable(`${heads.join(';')}\n${heads.map(() => 'silt').join(';')}\n`);
  if (!read.ok) assert.fail(read.error);
  return read.table;
}
const used = (columns: readonly ColumnUse[]): string[] =>
  columns.map((column) => ('questionId' in column ? `${column.use} ${column.questionId}` : column.use));

test('what is asked is counted, and notes are called by what they are', () => {
  assert.deepEqual([...numbersOf(PAPER.questions)], [['a', 1], ['b', 2], ['c', 3], ['d', 4]]); // prettier-ignore
  assert.deepEqual(
    ['a', 'n1', 'd', 'n2'].map((id) => namesOf(PAPER.questions).get(id)),
    ['question 1', 'note 1', 'question 4', 'note 2'],
  );
  assert.deepEqual(questionHeadings(PAPER).map((heading) => heading.slice(0, 2)), ['1.', '2.', '3.', '4.']); // prettier-ignore
});

describe('numbers in the headings of a file', () => {
  const CASES: [title: string, heads: string[], uses: string[], asks: boolean][] = [
    ['all without notes', ['Q1', 'Q2', 'Q3', 'Q4'], ['question a', 'question b', 'question c', 'question d'], false],
    ['all with notes, as before', ['Q1', 'Q3', 'Q4', 'Q6'], ['question a', 'question b', 'question c', 'question d'], false],
    ['some: a number that would be a note’s', ['Q2', 'Points for Q3'], ['question b', 'points c'], false],
    ['some: a number beyond the questions', ['3', 'Hints for Q6'], ['question b', 'hints d'], false],
    ['before any note both are the same', ['Q1'], ['question a'], false],
    ['one that can be two', ['Q1', 'Q3', 'Number'], ['ignored', 'ignored', 'number'], true],
    ['both at once', ['Q2', 'Q6'], ['ignored', 'ignored'], true],
    ['one that is none in either', ['Q1', 'Q9'], ['question a', 'ignored'], false],
  ]; // prettier-ignore
  for (const [title, heads, uses, asks] of CASES)
    test(title, () => {
      const columns = proposeColumns(table(heads), PAPER.questions, []);
      assert.deepEqual(used(columns), uses);
      assert.equal(columnRemarks(table(heads), columns, PAPER.questions).length, asks ? 1 : 0);
    });

  test('what a number meant in another file is not taken for it where it can mean two; what is chosen is', () => {
    const read = table(['Student', 'Q3']);
    const before = new Map<string, ColumnUse>([['Q3', { use: 'question', questionId: 'b' }]]);
    assert.deepEqual(used(proposeColumns(read, PAPER.questions, [], before)), ['student', 'ignored']);
    const all = table(['Student', 'Q1', 'Q2', 'Q3', 'Q4']);
    assert.equal(
      used(proposeColumns(all, PAPER.questions, [], before))[3],
      'question c',
      'nor where it is told',
    );
    const chosen: ColumnUse[] = [{ use: 'student' }, { use: 'question', questionId: 'c' }];
    assert.deepEqual(columnRemarks(read, chosen, PAPER.questions), []);
    const choices = { ...DEFAULT_CHOICES, unlisted: 'add' as const };
    const { papers } = readPapers(read, chosen, PAPER, [], choices);
    assert.deepEqual(Object.keys(papers[0]?.answers ?? {}), ['c']);
  });

  test('without notes every number is what it says', () => {
    const plain = paperOf([ask('a'), ask('b'), ask('c')]);
    assert.deepEqual(used(proposeColumns(table(['Q3']), plain.questions, [])), ['question c']);
  });
});
