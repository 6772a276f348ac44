import { createHash } from 'node:crypto';
import type { Page } from '@playwright/test';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import { SILENCE } from '@/core/content/silence';
import { plain } from '@/core/content/plainText';
import { writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { FORM_VERSION } from '@/core/formats/quizFile/schema';
import type { Question } from '@/core/kinds';
import { emptyContent } from '@/core/quiz/newQuiz';
import { newPlacement } from '@/core/quiz/newPlacement';
import { drawing, expect } from './support';
import { filledQuestion } from '../unit/support/filled';

const ONE = { n: 1, d: 1 };
const HALF = { n: 1, d: 2 };
const BOX = { left: { n: 0, d: 1 }, top: { n: 0, d: 1 }, width: HALF, height: HALF };

/** A quiz with a question of every kind in which all words are those of one language, as a file for colleagues. */
function quizInLanguage(language: string, words: readonly [string, string, string], picture: Buffer): Buffer {
  const [a, b, c] = words;
  const hash = createHash('sha256').update(picture).digest('hex');
  const two = [
    { id: 'a', text: a },
    { id: 'b', text: b },
  ];
  const made: [Parameters<typeof filledQuestion>[0], object][] = [
    ['note', {}],
    ['pickOne', { options: [...two.map((one) => ({ ...one, credit: ONE })), { id: 'c', text: c }] }],
    ['pickSeveral', { options: two.map((one) => ({ ...one, right: true })) }],
    ['trueFalse', { whenTrue: { credit: ONE, feedback: SILENCE } }],
    ['phrase', { variants: [{ id: 'v', forms: [a] }] }],
    ['number', {}],
    ['gaps', { passage: [{ text: `${a} ` }, { gap: 'g' }, { text: `. ${b} ` }, { gap: 'h' }, { text: '.' }], gaps: [{ id: 'g', weight: ONE, type: 'text', settings: DEFAULT_SETTINGS, variants: [{ id: 'v', forms: [b] }], unmatched: 'wrong' }, { id: 'h', weight: ONE, type: 'bank', words: [{ word: 'a', credit: ONE }] }], bank: [{ id: 'a', text: a, times: 1 }, { id: 'b', text: b, times: 1 }], ideas: [], model: 'weightedSum' }],
    ['match', { items: [{ id: 'i', text: a, partner: 'p' }, { id: 'j', text: b, partner: 'q' }], partners: [{ id: 'p', text: b }, { id: 'q', text: c }] }],
    ['order', { items: [...two, { id: 'c', text: c }] }],
    ['boxes', { boxes: two, items: [{ id: 'i', text: c, boxes: ['a'] }] }],
    ['rows', { rows: [{ id: 'r', text: a, options: [{ id: 'a', text: b, credit: ONE, right: true }, { id: 'b', text: c, right: false }] }] }],
    ['spot', { picture: { hash, alt: a, width: 300, height: 200, share: 100 }, areas: [{ id: 'z', name: b, shape: { kind: 'rectangle', ...BOX }, credit: ONE }] }],
    ['written', {}],
  ]; // prettier-ignore
  const questions = made.map(([kind, body], at): Question => ({
    ...filledQuestion(kind, body),
    id: `q${at}`,
    text: plain(`${a}.`),
    right: { text: `${b}.`, links: [] },
    wrong: { text: `${c}.`, links: [{ title: a, kind: 'read', address: 'https://rivers.example/a' }] },
    explanation: `${a} ${b}.`,
    hints: at === 1 ? [{ id: 'hint', text: c, price: { n: 1, d: 4 } }] : [],
  }));
  const content = {
    ...emptyContent(a, 'Europe/Berlin'),
    language,
    decimalSign: language === 'en' ? ('point' as const) : ('comma' as const),
    instructions: plain(`${b}.`),
    order: ['s', ...questions.map(({ id }) => id)],
    sections: [{ id: 's', heading: c, text: plain(`${a} ${b}.`), clips: [] }],
  };
  return Buffer.from(
    writeQuizFile(
      {
        format: 'yentrel-quiz',
        version: FORM_VERSION,
        quiz: {
          id: `in-${language}`,
          content,
          questions,
          placements: questions.map(({ id }) => newPlacement(id)),
          createdAt: 0,
          changedAt: 0,
        },
        share: { author: '', note: '', at: 0 },
        class: null,
      },
      new Map([[hash, new Uint8Array(picture)]]),
    ),
  );
}

/** Such a quiz, taken in and begun as a dry run, as wide as a phone. `begin`: what the first press is called in its language. */
export async function beginIn(
  page: Page,
  language: string,
  words: readonly [string, string, string],
  begin: string,
): Promise<void> {
  await page.goto('/');
  const file = quizInLanguage(language, words, await drawing(page, 300, 200));
  await page
    .getByLabel('Quiz file, backup or rescue file')
    .setInputFiles({ name: 'q.yentrel', mimeType: 'application/zip', buffer: file });
  await page.getByRole('button', { name: /^Add / }).click();
  await expect(page).toHaveURL(/\/quiz\//);
  const id = new URL(page.url()).searchParams.get('id');
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto(`/try/?quiz=${id}&framed`);
  await page.getByRole('button', { name: begin }).press('Enter');
}
