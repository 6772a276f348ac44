/**
 * `npm run sit`: a made-up class, a stand-in for real students, that sits through a real door over HTTP at the pace of people, so
 * that a teacher can see the Tray live. It knows what any student's page knows, and answers by chance.
 *
 *     npm run sit                                     the made-up class 8C, at http://127.0.0.1:4321
 *     npm run sit -- --door http://quiz.local:4321 --tickets tickets-7B.csv --students 30 --speed 4
 *
 * `--tickets`: a table of tickets as the application saves it. `--speed`: so many times as fast as people.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import papa from 'papaparse';
import type { OwnPage } from '@/core/door/schema';
import { below, oneOf, randomFrom, shuffled, type Random } from '@/core/figures/random';
import type { Answer, Face } from '@/core/kinds';
import { madeUpTicket } from '@/core/madeUp/tickets';
import { readTicket } from '@/core/quiz/people/ticket';
import type { PaperPacket, Receipt } from '@/core/reveal/packets';

const { values } = parseArgs({
  options: {
    door: { type: 'string', default: 'http://127.0.0.1:4321' },
    tickets: { type: 'string' },
    students: { type: 'string', default: '26' },
    speed: { type: 'string', default: '1' },
  },
});
const SPEED = Math.max(0.1, Number(values.speed) || 1);
const WORDS = [
  'oxbow lake',
  'ox-bow lake',
  'levee',
  'floodplain',
  'flood plain',
  'erosion',
  'discharge',
  'silt',
  'a delta',
  'gorge',
];

/** The codes of the class: out of a table, or those of the made-up school. */
function tickets(): string[] {
  if (values.tickets === undefined)
    return Array.from({ length: 26 }, (_, at) => madeUpTicket(`demo-${at + 1}`));
  const rows = papa.parse(readFileSync(values.tickets, 'utf8').replace(/^\uFEFF/, ''), {
    delimiter: ',',
  }).data;
  return rows.flatMap((row) => {
    const read = readTicket(row.at(-1) ?? '');
    return 'code' in read ? read.code : [];
  });
}

const wait = (seconds: number) =>
  new Promise<void>((resolve) => setTimeout(resolve, (seconds * 1000) / SPEED));

/** Asks until it is answered: as long as the server is away, a student waits. */
async function ask<One>(act: string, body: object): Promise<One> {
  for (;;) {
    const response = await fetch(`${values.door}/api/paper/${act}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }).catch(() => null);
    if (response?.ok) return (await response.json()) as One;
    await wait(3);
  }
}

const some = <One>(random: Random, list: readonly One[]): One[] => list.filter(() => random() < 0.5);
const chosen = (random: Random, from: readonly { readonly id: string }[]): string =>
  oneOf(random, from)?.id ?? '';
const each = <One>(items: readonly { readonly id: string }[], of: (at: number) => One): Record<string, One> =>
  Object.fromEntries(items.map(({ id }, at) => [id, of(at)]));

/** An answer by chance to what is shown; null for what asks nothing. */
function answerTo(face: Face, random: Random): Answer | null {
  const word = () => oneOf(random, WORDS) ?? '';
  switch (face.kind) {
    case 'pickOne':
      return { kind: 'pickOne', option: chosen(random, face.options) };
    case 'pickSeveral':
      return { kind: 'pickSeveral', options: some(random, face.options).map(({ id }) => id) };
    case 'trueFalse':
      return { kind: 'trueFalse', value: random() < 0.5 };
    case 'phrase':
      return { kind: 'phrase', text: word() };
    case 'number':
      return { kind: 'number', text: String(below(random, 50)) };
    case 'written':
      return { kind: 'written', text: `The river does it by ${word()}, and by ${word()}.` };
    case 'gaps':
      return {
        kind: 'gaps',
        gaps: Object.fromEntries(
          face.gaps.map(({ id, type, options }) => [
            id,
            type === 'typed' ? word() : chosen(random, type === 'list' ? options : face.bank),
          ]),
        ),
      };
    case 'match':
      return { kind: 'match', pairs: each(face.items, () => chosen(random, face.partners)) };
    case 'boxes':
      return { kind: 'boxes', placed: each(face.items, () => chosen(random, face.boxes)) };
    case 'rows':
      return {
        kind: 'rows',
        picked: each(face.rows, (at) => [chosen(random, face.rows[at]?.options ?? [])]),
      };
    case 'order':
      return { kind: 'order', places: shuffled(random, face.items).map(({ id }) => id), touched: true };
    case 'spot':
      return { kind: 'spot', spots: [{ x: { n: 1, d: 2 }, y: { n: 1, d: 2 } }] } as Answer;
    case 'note':
      return null;
  }
}

/** One quiz from beginning to end. */
async function sit(ticket: string, quizId: string, random: Random): Promise<void> {
  const at = { ticket, quizId };
  const packet = await ask<PaperPacket>('begin', at);
  if (packet.state !== 'working') return;
  const { attemptId, questions } = packet.working;
  let number = 0;
  for (const { id, face } of questions) {
    await wait(4 + random() * 20);
    const answer = answerTo(face, random);
    if (answer === null || random() < 0.04) continue;
    const sent = { attemptId, questionId: id, answer, page: 'made-up', number: ++number };
    await ask<Receipt>('save', { ...at, sent });
  }
  await wait(3 + random() * 10);
  const receipt = await ask<Receipt>('handIn', { ...at, attemptId });
  console.log(`${packet.cover.student}: ${receipt.state === 'kept' ? 'handed in' : receipt.reason}`);
}

async function student(ticket: string, turn: number): Promise<void> {
  const random = randomFrom(1000 + turn);
  await wait(random() * 40);
  const page = await ask<OwnPage | null>('list', { ticket });
  for (const { quizId, state } of page?.quizzes ?? [])
    if (state === 'ready' || state === 'working') await sit(ticket, quizId, random);
}

const codes = tickets().slice(0, Number(values.students) || 1);
console.log(`A made-up class of ${codes.length} sits at ${values.door}.`);
await Promise.all(codes.map(student));
console.log('The made-up class is done.');
