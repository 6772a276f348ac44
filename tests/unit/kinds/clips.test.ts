import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { aroundWords, clipsOf, isEmptyText, plain, plainText, questionTitle } from '@/core/content/plainText';
import { pictureHashes } from '@/core/content/pictureHashes';
import type { RichText } from '@/core/content/richText';
import { kindOf } from '@/core/kinds';
import { shownLine } from '@/core/content/shownLine';
import { tellingMedia } from '@/core/checking/tellingMedia';
import { markAnswer } from '@/core/scoring/markAttempt';
import { fromEditor, toEditor } from '@/ui/editing/editorTree';
import { readyList } from '@/ui/words/readyList';
import { ENGLISH, paperOf, pickOneQuestion } from '../support/support';

const HASH = 'c'.repeat(64);
const clip = (title: string, hash = HASH) => ({
  hash,
  type: 'audio/mpeg' as const,
  bytes: 9,
  title,
  words: 'Water falls.',
});
const withSound: RichText = [...plain('What is heard?'), { type: 'clip', clip: clip('By the river') }];

describe('a sound in the text of a question', () => {
  test('is no words of it, and is found with the pictures that leave with it', () => {
    assert.equal(plainText(withSound), 'What is heard?');
    assert.deepEqual(
      clipsOf(withSound).map(({ title }) => title),
      ['By the river'],
    );
    assert.deepEqual([...pictureHashes(withSound)], [HASH]);
  });
  test('alone is a text, called by its name', () => {
    const alone = withSound.slice(1);
    assert.equal(isEmptyText(alone), false);
    assert.equal(questionTitle(alone), 'By the river');
  });
  test('stands outside of the heading that the words are, in its order', () => {
    const [words, sound] = withSound;
    assert.ok(words && sound);
    const cases: [string, RichText, string][] = [
      ['words first', [words, sound, words], '0/1/2'],
      ['a sound first', [sound, sound, words, words], '2/2/0'],
      ['a sound alone', [sound], '1/0/0'],
      ['words alone', [words], '0/1/0'],
    ];
    for (const [name, text, lengths] of cases) {
      const { before, words: heading, after } = aroundWords(text);
      assert.equal([before, heading, after].map(({ length }) => length).join('/'), lengths, name);
      assert.deepEqual([...before, ...heading, ...after], text);
    }
  });
  test('goes through the editor as it is; what is none becomes nothing', () => {
    assert.deepEqual(fromEditor(toEditor(withSound)), withSound);
    const broken = toEditor(withSound);
    broken.content?.forEach((node) => node.type === 'clip' && (node.attrs = { clip: { hash: 'no' } }));
    assert.deepEqual(plainText(fromEditor(broken)), 'What is heard?');
  });
  test('may tell what is right by its name, and is then named before opening', () => {
    const question = {
      ...pickOneQuestion({ weir: '1', gorge: '0' }, { id: 'q1' }),
      text: [...plain('What is heard?'), { type: 'clip' as const, clip: clip('The weir') }],
    };
    assert.deepEqual(tellingMedia(question, paperOf([question])), { by: 'title', word: 'weir' });
  });
});

describe('an option that is a sound', () => {
  const made = pickOneQuestion({ a: '1', b: '0', c: '0' }, { id: 'q1' });
  const question = {
    ...made,
    text: plain('Which is a weir?'),
    options: made.options.map((option) => ({
      ...option,
      text: '',
      ...(option.id !== 'c' && { clip: clip(`Sound ${option.id}`, option.id.repeat(64)) }),
    })),
  };
  test('is named by it wherever it is named, and picked as any other', () => {
    const kind = kindOf(question);
    const answer = { kind: 'pickOne' as const, option: 'a' };
    assert.equal(shownLine(kind.shown(question, answer)), 'Sound a');
    assert.equal(kind.answerText(question, answer), 'Sound a');
    const read = kind.readAnswer(question, 'sound B', ENGLISH);
    assert.deepEqual(read, { ok: true, answer: { kind: 'pickOne', option: 'b' } });
    assert.deepEqual(markAnswer(question, answer, ENGLISH).credit, { n: 1, d: 1 });
  });
  test('comes to the student with what is needed to play it, and nothing of the key; without a name it does not come', () => {
    const face = kindOf(question).faceOf(question, 'seed');
    assert.ok(face.kind === 'pickOne');
    assert.deepEqual(
      face.options.map((option) => [option.id, option.clip?.title, Object.keys(option).sort().join()]),
      [
        ['a', 'Sound a', 'clip,id,picture,text'],
        ['b', 'Sound b', 'clip,id,picture,text'],
      ],
    );
    assert.deepEqual(readyList(paperOf([question])).length, 1);
  });
  test('among several is the same', () => {
    const { options, ...rest } = made;
    const [first, ...others] = options.map(({ credit, ...option }) => ({
      ...option,
      right: credit.n > 0,
      weight: credit,
    }));
    assert.ok(first);
    const sounding = {
      ...rest,
      kind: 'pickSeveral' as const,
      model: 'rightMinusWrong' as const,
      lambda: { n: 1, d: 1 },
      options: [{ ...first, text: '', clip: clip('A spring') }, ...others],
    };
    const face = kindOf(sounding).faceOf(sounding, 'seed');
    assert.ok(face.kind === 'pickSeveral');
    assert.equal(face.options.find(({ id }) => id === first.id)?.clip?.title, 'A spring');
    const answer = { kind: 'pickSeveral' as const, options: [first.id] };
    assert.equal(shownLine(kindOf(sounding).shown(sounding, answer)), 'A spring');
  });
});
