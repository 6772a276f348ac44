import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { tellingMedia } from '@/core/checking/tellingMedia';
import type { Question } from '@/core/kinds';
import { newSection } from '@/core/quiz/section';
import { readyList } from '@/ui/words/readyList';
import { paperOf, phraseQuestion, pickOneQuestion, variant } from '../support/support';

const picture = (alt: string) => ({ hash: 'a'.repeat(64), alt, width: 4, height: 3, share: 50 });
const shows = (alt: string): Question['text'] => [
  { type: 'paragraph', runs: [{ type: 'text', text: 'What is this?', marks: [] }] },
  { type: 'picture', picture: picture(alt) },
] as never; // prettier-ignore
const lake = (text: Question['text']) =>
  phraseQuestion([variant('v', ['oxbow lake'])], {}, { id: 'q1', text });

describe('what stands beside a question and says what is right', () => {
  const cases: [name: string, question: Question, found: ReturnType<typeof tellingMedia>][] = [
    ['the description of its picture', lake(shows('An oxbow  lake, seen from above')), { by: 'picture', word: 'oxbow lake' }],
    ['other signs and capitals', lake(shows('OXBOW-LAKE')), { by: 'picture', word: 'oxbow lake' }],
    ['another description', lake(shows('A curved lake')), null],
    ['part of a word', phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1', text: shows('A siltation basin') }), null],
  ]; // prettier-ignore
  for (const [name, question, found] of cases)
    it(name, () => assert.deepEqual(tellingMedia(question, paperOf([question])), found));

  it('is said where the quiz is made ready, with the question', () => {
    const paper = paperOf([lake(shows('An oxbow lake'))]);
    assert.deepEqual(readyList(paper), [
      'Question 1: the description of its picture says “oxbow lake”, which is right: students can read it.',
    ]);
  });

  it('may be the title of a sound in the section above it', () => {
    const section = {
      ...newSection('s'),
      clips: [
        { hash: 'b'.repeat(64), type: 'audio/mpeg' as const, bytes: 3, title: 'Weir in winter', words: '' },
      ],
    };
    const question = pickOneQuestion({ weir: '1', levee: '0' }, { id: 'q1' });
    const paper = paperOf([question], { order: ['s', 'q1'], sections: [section] });
    assert.deepEqual(tellingMedia(question, paper), { by: 'title', word: 'weir' });
  });
});
