import type { Locator, Page } from '@playwright/test';
import { drawing, expect, saved } from './support';
import { come } from './come';

/** A quiz with a question of every kind, written by keys alone; and how students answer it, by keys and by touch. */

/** A press by the keyboard: the thing takes the focus, and Enter presses it. */
export async function enter(thing: Locator): Promise<void> {
  await expect(thing).toBeEnabled();
  await thing.press('Enter');
}

/** A new question of a kind, chosen by keys, with its text and its points; 0 is the note before them. */
async function question(page: Page, number: number, kind: string, text: string, points?: number) {
  if (number > 0) await enter(page.getByRole('button', { name: 'or another kind' }));
  await enter(
    page.getByRole('list', { name: 'Kinds of question' }).getByRole('button', { name: kind, exact: true }),
  );
  const called = number === 0 ? 'note 1' : `question ${number}`;
  const hand = page.getByRole('region', { name: `${called} in hand` });
  const field = hand.getByRole('textbox', { name: `Text of ${called}`, exact: true });
  await expect(field).toBeFocused();
  await page.keyboard.type(text);
  if (points !== undefined) await (await come(hand, 'Points')).fill(String(points));
  return hand;
}

/** Selects words in the text that has the focus, by Shift and arrow keys, from its end on. */
async function select(page: Page, text: string, words: string): Promise<void> {
  const after = text.length - text.indexOf(words) - words.length;
  // A text that has just taken the focus puts the caret where it was, a moment later.
  await expect(async () => {
    await page.keyboard.press('Control+End');
    for (let at = 0; at < after; at++) await page.keyboard.press('ArrowLeft');
    for (let at = 0; at < words.length; at++) await page.keyboard.press('Shift+ArrowLeft');
    await expect(page.getByRole('button', { name: `Make “${words}” a gap` })).toBeVisible({ timeout: 1000 });
  }).toPass();
}

const PASSAGE = 'The river erodes the outer bank and deposits sand.';

async function writeGaps(page: Page, number: number): Promise<void> {
  const hand = await question(page, number, 'Gaps', 'Fill the gaps.', 2);
  const passage = hand.getByRole('textbox', { name: 'The text with its gaps' });
  await passage.focus();
  await page.keyboard.type(PASSAGE);
  await select(page, PASSAGE, 'erodes');
  await page.keyboard.press('Control+g');
  await hand.getByLabel('Another right answer in gap 1').fill('wears away');
  await page.keyboard.press('Enter');
  await passage.focus();
  await select(page, PASSAGE, 'deposits');
  await page.keyboard.press('Control+g');
  await hand.getByLabel('How gap 2 is filled').selectOption('bank');
  await hand.getByLabel('Another word in the bank').fill('dissolves');
  await page.keyboard.press('Enter');
  await expect(hand.getByRole('button', { name: 'Gap 1: erodes' })).toBeVisible();
  await expect(hand.getByRole('button', { name: 'Gap 2: deposits' })).toBeVisible();
}

async function typePairs(page: Page, hand: Locator, pairs: readonly (readonly [string, string])[]) {
  await hand.getByLabel('Item 1', { exact: true }).focus();
  for (const [at, [left, right]] of pairs.entries()) {
    if (at > 0) await page.keyboard.press('Enter');
    await page.keyboard.type(left);
    await page.keyboard.press('Enter');
    await page.keyboard.type(right);
  }
}

/** The first seven: picked, typed and in gaps. */
async function writeFirst(page: Page): Promise<void> {
  await question(page, 0, 'Note', 'Read this first: a river wears land away and builds it up.');
  let hand = await question(page, 1, 'Pick one', 'Which is cut by a river?');
  await hand.getByLabel('Option 1', { exact: true }).fill('gorge');
  await page.keyboard.press('Enter');
  await page.keyboard.type('levee');
  await page.keyboard.press('Enter');
  await page.keyboard.type('delta');
  await enter(hand.getByRole('button', { name: 'gorge is right' }));
  await (await come(hand, 'Points for levee, %')).fill('50');
  await (await come(hand, 'Feedback for delta')).fill('A delta is built, not cut.');

  hand = await question(page, 2, 'Pick several', 'Which are built by a river?', 2);
  await hand.getByLabel('Option 1', { exact: true }).fill('delta');
  await page.keyboard.press('Enter');
  await page.keyboard.type('levee');
  await page.keyboard.press('Enter');
  await page.keyboard.type('gorge');
  await enter(hand.getByRole('button', { name: 'delta is right' }));
  await enter(hand.getByRole('button', { name: 'levee is right' }));

  hand = await question(page, 3, 'True or false', 'Water flows fastest along the inner bank.');
  await enter(hand.getByRole('button', { name: 'False is right' }));
  await (await come(hand, 'Feedback for True')).fill('Which bank has the longer way?');

  hand = await question(page, 4, 'Word or phrase', 'What is a cut-off bend called?');
  await hand.getByLabel('Another right answer').fill('oxbow lake');
  await page.keyboard.press('Enter');
  await hand.getByLabel('Another right answer').fill('lake');
  await page.keyboard.press('Enter');
  await (await come(hand, 'Points for lake, %')).fill('50');

  hand = await question(page, 5, 'Number', 'How many metres does it fall in a kilometre?');
  await hand.getByLabel('The right number').fill('20');
  await hand.getByLabel('Another expected wrong answer').fill('40');
  await page.keyboard.press('Enter');
  await (await come(hand, 'Points for 40, %')).fill('50');
  await writeGaps(page, 6);
}

/** The others: paired, ordered, sorted, row by row, on a picture, and written. */
async function writeOthers(page: Page): Promise<void> {
  let hand = await question(page, 7, 'Match', 'What belongs to which part?', 3);
  await typePairs(page, hand, [
    ['waterfall', 'upper course'],
    ['meander', 'middle course'],
    ['mouth', 'lower course'],
  ]);
  await hand.getByLabel('Another extra one').fill('the sky');
  await page.keyboard.press('Enter');

  hand = await question(page, 8, 'Put in order', 'From the spring to the sea.', 2);
  await hand.getByLabel('Item 1', { exact: true }).fill('waterfall');
  await page.keyboard.press('Enter');
  await page.keyboard.type('meander');
  await page.keyboard.press('Enter');
  await page.keyboard.type('delta');

  hand = await question(page, 9, 'Sort into boxes', 'What does what?', 4);
  await hand.getByLabel('Name of box 1').fill('wears away');
  await hand.getByLabel('Name of box 2').fill('builds up');
  for (const [item, box] of [
    ['abrasion', 'wears away'],
    ['attrition', 'wears away'],
    ['deposition', 'builds up'],
    ['silting', 'builds up'],
  ] as const) {
    await hand.getByLabel(`Another item in ${box}`).fill(item);
    await page.keyboard.press('Enter');
  }

  hand = await question(page, 10, 'Row by row', 'True for every river?', 2);
  await hand.getByLabel('Option 1 of every row').fill('yes');
  await hand.getByLabel('Option 2 of every row').fill('no');
  await hand.getByLabel('Row 1', { exact: true }).fill('It flows downhill.');
  await hand.getByLabel('Row 2', { exact: true }).fill('It freezes in winter.');
  await enter(hand.getByRole('button', { name: 'yes for It flows downhill. is right' }));
  await enter(hand.getByRole('button', { name: 'no for It freezes in winter. is right' }));

  hand = await question(page, 11, 'Spot on a picture', 'Press the middle.');
  await enter(hand.getByRole('button', { name: 'Choose the picture' }));
  const dialog = page.getByRole('dialog', { name: 'Add a picture' });
  const buffer = await drawing(page, 600, 400);
  await dialog.getByLabel('Picture file').setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer });
  await dialog.getByLabel(/^Description/).fill('A river in one colour');
  await enter(dialog.getByRole('button', { name: 'Insert picture' }));
  await enter(hand.getByRole('button', { name: 'Ellipse' }));
  await expect(hand.getByLabel('Name of area 1')).toHaveCount(0);
  await enter(hand.getByRole('button', { name: 'put one in the middle' }));
  await hand.getByLabel('Name of area 1').fill('the middle');
  const area = hand.getByRole('button', { name: /^the middle: from/ });
  await area.focus();
  await page.keyboard.press('ArrowRight');
  await expect(area).toHaveAccessibleName('the middle: from 36% / 35% to 56% / 55%');

  hand = await question(page, 12, 'Written answer', 'Why do rivers bend?', 3);
  await hand.getByLabel('Another idea').fill('outer bank');
  await page.keyboard.press('Enter');
}

/** A new quiz with one question of every kind, written without a mouse. */
export async function writeEveryKind(page: Page): Promise<void> {
  await enter(page.getByRole('button', { name: 'New quiz' }));
  const title = page.getByLabel('Title of the quiz');
  await title.fill('Every kind of river');
  await writeFirst(page);
  await writeOthers(page);
  await saved(page);
}

type Way = 'right' | 'half' | 'wrong';

/** Presses: by the keyboard, or by touch. */
type Press = (thing: Locator) => Promise<void>;

const pick = (page: Page, name: string, role: 'radio' | 'checkbox' = 'radio') =>
  page.getByRole(role, { name, exact: true }).check();

async function chooseFor(page: Page, press: Press, item: string, choice: string): Promise<void> {
  await press(page.getByRole('button', { name: `${item}: choose` }));
  await press(
    page.getByRole('group', { name: `What belongs to ${item}?` }).getByRole('button', { name: choice }),
  );
  await expect(page.getByRole('button', { name: `${item}: ${choice}` })).toBeFocused();
}

async function putInto(page: Page, press: Press, item: string, box: string): Promise<void> {
  await press(page.getByRole('button', { name: `${item}: not sorted yet` }));
  await press(
    page.getByRole('group', { name: `Where does ${item} belong?` }).getByRole('button', { name: box }),
  );
  await expect(page.getByRole('button', { name: `${item}: ${box}` })).toBeFocused();
}

/** Brings the items into this order by their arrows, the first one first. */
async function arrange(page: Page, press: Press, order: readonly string[]): Promise<void> {
  await press(page.getByRole('button', { name: 'Leave them in this order' }));
  for (const [to, item] of order.entries()) {
    const up = page.getByRole('button', { name: new RegExp(`^Move ${item} up`) });
    for (let tries = 0; tries < 10; tries++) {
      const now = Number(/now (\d+) of/.exec((await up.getAttribute('aria-label')) ?? '')?.[1]);
      if (now === to + 1) break;
      await press(up);
    }
  }
}

/** How each question is answered, in their order, in each of three ways. */
const ANSWERS: readonly ((page: Page, way: Way, press: Press) => Promise<void>)[] = [
  (page, way) => pick(page, { right: 'gorge', half: 'levee', wrong: 'delta' }[way]),
  async (page, way) => {
    for (const name of { right: ['delta', 'levee'], half: ['delta'], wrong: ['gorge'] }[way])
      await pick(page, name, 'checkbox');
  },
  (page, way) => pick(page, way === 'wrong' ? 'True' : 'False'),
  (page, way) => page.getByRole('textbox').fill({ right: 'Oxbow Lake', half: 'lake', wrong: 'pond' }[way]),
  (page, way) => page.getByRole('textbox').fill({ right: '20', half: '40', wrong: '7' }[way]),
  async (page, way, press) => {
    await page.getByLabel('Gap 1', { exact: true }).fill(way === 'wrong' ? 'paints' : 'wears away');
    await press(page.getByRole('button', { name: way === 'right' ? 'deposits' : 'dissolves', exact: true }));
    await expect(page.getByLabel('Gap 2', { exact: true })).not.toHaveValue('');
  },
  async (page, way, press) => {
    const [first, second] = way === 'wrong' ? ['the sky', 'lower course'] : ['upper course', 'middle course'];
    await chooseFor(page, press, 'waterfall', first ?? '');
    await chooseFor(page, press, 'meander', second ?? '');
    if (way === 'right') await chooseFor(page, press, 'mouth', 'lower course');
  },
  async (page, way, press) => {
    const orders = {
      right: ['waterfall', 'meander', 'delta'],
      half: ['delta', 'waterfall', 'meander'],
      wrong: ['delta', 'meander', 'waterfall'],
    };
    await arrange(page, press, orders[way]);
  },
  async (page, way, press) => {
    const away = way === 'wrong' ? 'builds up' : 'wears away';
    await putInto(page, press, 'abrasion', away);
    await putInto(page, press, 'attrition', away);
    if (way === 'right') await putInto(page, press, 'deposition', 'builds up');
    if (way === 'right') await putInto(page, press, 'silting', 'builds up');
  },
  async (page, way) => {
    const first = page.getByRole('group', { name: 'It flows downhill.' });
    const second = page.getByRole('group', { name: 'It freezes in winter.' });
    await first.getByRole('radio', { name: way === 'wrong' ? 'no' : 'yes' }).check();
    await second.getByRole('radio', { name: way === 'right' ? 'no' : 'yes' }).check();
  },
  async (page, way, press) => {
    await press(page.getByRole('button', { name: 'Set a spot with the keyboard' }));
    const spot = page.getByRole('button', { name: /^Spot 1:/ });
    await expect(spot).toBeFocused();
    await expect(spot).toHaveAccessibleName('Spot 1: 50% from the left, 50% from the top');
    if (way === 'wrong') for (let at = 0; at < 4; at++) await page.keyboard.press('Shift+ArrowRight');
    if (way === 'wrong')
      await expect(spot).toHaveAccessibleName('Spot 1: 70% from the left, 50% from the top');
  },
  (page) => page.getByRole('textbox').fill('The outer bank is worn away, so the bend grows.'),
];

/** Sits the quiz from its first page to the one before its end, which `last` leads to; `press` says with what. */
export async function answerEveryKind(page: Page, way: Way, press: Press, last: string): Promise<void> {
  await press(page.getByRole('button', { name: 'Begin' }));
  await expect(page.getByText('To read, nothing to answer')).toBeVisible();
  await press(page.getByRole('button', { name: 'Next' }));
  for (const [at, give] of ANSWERS.entries()) {
    await expect(page.getByText(`Question ${at + 1} of 12`)).toBeVisible();
    await give(page, way, press);
    await expect(page.getByText(/Saved on this device at/)).toBeVisible();
    await press(page.getByRole('button', { name: at === ANSWERS.length - 1 ? last : 'Next' }));
  }
  const all = page.getByText('All 12 questions are answered.');
  const some = page.getByText(/answered only in part/);
  await expect(way === 'right' ? all : some).toBeVisible();
}

/** Sits the quiz from its first page to the receipt. */
export async function sitEveryKind(page: Page, way: Way, press: Press): Promise<void> {
  await answerEveryKind(page, way, press, 'Review and hand in');
  await press(page.getByRole('button', { name: 'Hand in', exact: true }));
  await expect(page.getByText('It has been received.')).toBeVisible();
}
