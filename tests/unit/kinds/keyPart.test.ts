import { idOf } from '../../../demo/words';
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { SILENCE } from '@/core/content/silence';
import { ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import {
  keyAnswer,
  keyPart,
  kindOf,
  Question as AnyQuestion,
  type Answer,
  type Question,
} from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';
import { JOURNEY } from '../../../demo/quizzes/journey';
import { ENGLISH, share, written } from '../support/support';

const find = (id: string): Question => JOURNEY.questions.find((one) => one.id === id) ?? assert.fail(id);
let made = 0;
const key = (question: Question, given: GivenPart, credit: Fraction = ONE) =>
  keyPart(question, given, { credit, feedback: SILENCE }, () => `new-${made++}`, ENGLISH);
const keyed = (question: Question, given: GivenPart, credit: Fraction = ONE): Question => {
  const next = key(question, given, credit);
  assert.ok(next.ok, next.ok ? '' : next.reason);
  assert.ok(AnyQuestion.safeParse(next.question).success, 'what is keyed can be stored');
  return next.question;
};
const refused = (question: Question, given: GivenPart, credit: Fraction = ONE): string => {
  const next = key(question, given, credit);
  return next.ok ? 'keyed' : next.reason;
};
const credit = (question: Question, answer: Answer): string =>
  written(kindOf(question).mark(question, answer, ENGLISH).credit);

describe('a part keyed alone', () => {
  const bend = find(idOf('q-bend'));
  assert.ok(bend.kind === 'gaps');
  const gap = (gaps: Record<string, string>): Answer => ({
    kind: 'gaps',
    gaps: Object.fromEntries(Object.entries(gaps).map(([name, text]) => [idOf(name), text])),
  });
  const right = { speed: 'faster', outer: 'erodes', inner: 'deposits', lake: 'oxbow lake' };
  const word = (text: string) => bend.bank.find((one) => one.text === text)?.id ?? assert.fail(text);
  const whole = { ...right, outer: word('erodes'), inner: word('deposits') };

  test('what was typed in a gap is a form of its own key, and of no other gap’s', () => {
    assert.equal(credit(bend, gap({ ...whole, speed: 'rapid' })), '3/4');
    const next = keyed(bend, { part: idOf('speed'), given: 'rapid' });
    assert.equal(credit(next, gap({ ...whole, speed: 'Rapid' })), '1');
    assert.equal(credit(next, gap({ ...whole, lake: 'rapid' })), '3/4');
    assert.equal(credit(next, gap(whole)), '1');
  });

  test('an answer of one gap is keyed whole, as what is in it; of several it is not', () => {
    const as = { credit: ONE, feedback: SILENCE };
    const whole = (question: Question, answer: Answer) =>
      keyAnswer(question, answer, as, () => `new-${made++}`, ENGLISH);
    const one: Question = { ...bend, gaps: bend.gaps.filter(({ id }) => id === idOf('lake')), ideas: [] };
    const next = whole(one, gap({ lake: 'cut-off lake' }));
    assert.ok(next.ok, next.ok ? '' : next.reason);
    assert.equal(credit(next.question, gap({ lake: 'Cut-off lake' })), '1');
    assert.match(JSON.stringify(whole(one, gap({}))), /There is no answer in the gap/);
    assert.match(JSON.stringify(whole(bend, gap(right))), /judge its gaps one by one/);
  });

  test('for a part of the gap’s credit, and as a wrong one', () => {
    assert.equal(credit(keyed(bend, { part: idOf('speed'), given: 'rapid' }, share('1/2')), gap({ ...whole, speed: 'rapid' })), '7/8'); // prettier-ignore
    const wrong = keyed(bend, { part: idOf('lake'), given: 'pond' }, ZERO);
    assert.equal(credit(wrong, gap({ ...whole, lake: 'pond' })), '3/4');
    assert.ok(kindOf(wrong).mark(wrong, gap({ ...whole, lake: 'pond' }), ENGLISH).parts.find(({ id }) => id === idOf('lake'))?.rule); // prettier-ignore
  });

  test('a word of the bank in one gap', () => {
    const next = keyed(bend, { part: idOf('outer'), given: word('dissolves') });
    assert.equal(credit(next, gap({ ...whole, outer: word('dissolves') })), '1');
    assert.equal(credit(next, gap(whole)), '1');
    assert.match(refused(bend, { part: idOf('outer'), given: 'no-word' }), /not in the bank/);
  });

  test('an option of a row is right, too, where one is picked; where several are it is so or not', () => {
    const rows = find(idOf('q-true'));
    assert.ok(rows.kind === 'rows');
    const [first] = rows.rows;
    const no = first?.options[1]?.id ?? '';
    const pick = (id: string): Answer => ({ kind: 'rows', picked: { [first?.id ?? '']: [id] } });
    const given = { part: first?.id ?? '', given: no };
    assert.deepEqual([credit(rows, pick(no)), credit(keyed(rows, given), pick(no))], ['0', '1/3']);
    assert.equal(credit(keyed(rows, given, share('1/2')), pick(no)), '1/6');
    const several = { ...rows, rows: rows.rows.map((row) => ({ ...row, several: true })) };
    assert.match(refused(several, given, share('1/2')), /right or wrong/);
  });

  test('a box is one more in which a thing is right', () => {
    const sort = find(idOf('q-sort'));
    assert.ok(sort.kind === 'boxes');
    const [away = '', up = ''] = sort.boxes.map(({ id }) => id);
    const [item = ''] = sort.items.map(({ id }) => id);
    const put = (box: string): Answer => ({ kind: 'boxes', placed: { [item]: box } });
    const next = keyed(sort, { part: item, given: up });
    assert.deepEqual(
      [credit(sort, put(up)), credit(next, put(up)), credit(next, put(away))],
      ['0', '1/5', '1/5'],
    );
    assert.equal(credit(keyed(next, { part: item, given: away }, ZERO), put(away)), '0');
    assert.match(refused(sort, { part: item, given: up }, share('1/2')), /right in a box or it is not/);
  });

  test('another partner is the right one instead', () => {
    const where = find(idOf('q-where'));
    assert.ok(where.kind === 'match');
    const partner = (text: string) => where.partners.find((one) => one.text === text) ?? assert.fail(text);
    const [fall = ''] = where.items.map(({ id }) => id);
    const give = (text: string): Answer => ({ kind: 'match', pairs: { [fall]: partner(text).id } });
    const reading = kindOf(where).classFace(where, ENGLISH);
    assert.ok(reading?.form === 'places');
    const source = reading.places.find(({ thing }) => thing.text === 'source')?.id ?? '';
    const next = keyed(where, { part: fall, given: source });
    assert.deepEqual([credit(next, give('source')), credit(next, give('upper course'))], ['1/3', '0']);
    assert.match(refused(where, { part: fall, given: source }, ZERO), /one right partner/);
  });

  test('an option of several is right or wrong', () => {
    const make = find(idOf('q-make'));
    assert.ok(make.kind === 'pickSeveral');
    const gorge = make.options.find(({ text }) => text === 'gorge')?.id ?? '';
    const all: Answer = { kind: 'pickSeveral', options: make.options.filter(({ right: is, id }) => is || id === gorge).map(({ id }) => id) }; // prettier-ignore
    assert.notEqual(credit(make, all), '1');
    assert.equal(credit(keyed(make, { part: '', given: gorge }), all), '1');
  });

  test('an area earns more', () => {
    const spot = find(idOf('q-spot'));
    assert.ok(spot.kind === 'spot');
    const meander = spot.areas.find(({ name }) => name === 'a meander')?.id ?? '';
    const at: Answer = { kind: 'spot', spots: [{ x: share('0.5'), y: share('0.7') }] };
    assert.equal(credit(keyed(spot, { part: '', given: meander }, share('1/2')), at), '1/2');
  });

  test('an order is judged as a whole; what is gone from the draft is said', () => {
    assert.match(refused(find(idOf('q-order')), { part: 'x', given: '0' }), /cannot be judged by itself/);
    for (const id of [idOf('q-true'), idOf('q-sort'), idOf('q-where'), idOf('q-make'), idOf('q-bend')])
      assert.match(refused(find(id), { part: 'gone', given: 'gone' }), /not in the draft any more/, id);
  });
});
