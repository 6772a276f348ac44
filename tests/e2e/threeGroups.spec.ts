import type { Page } from '@playwright/test';
import { expect, finer, goTo, hearWorkers, inDays, newQuiz, pageOf, saved, test, timesFor } from './support';
import { come } from './come';

const then = (page: Page) => page.getByRole('region', { name: 'What the student sees then' });

async function handIn(page: Page, name: string): Promise<void> {
  const sit = await pageOf(page, name);
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByRole('textbox').fill('mine');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  await sit.close();
  await page.bringToFront();
}

/** What a student is to see, and what is to be in the packet, of all that could be told. */
const ALL = ['CANARY wrong', 'CANARY form', 'CANARY explanation', '"score":{'] as const;
type Told = (typeof ALL)[number];

/** What has come since of students' papers. */
const packets = async (page: Page): Promise<string[]> => {
  const heard = await page.evaluate(() => (window as unknown as { heard: string[] }).heard.splice(0));
  return heard.filter((text) => text.includes('"cover":{'));
};

/** Looks at the page of a student at an instant: it says what it is to say, and neither it nor its data says more. */
async function lookAt(page: Page, name: string, days: number, told: Told[] | RegExp): Promise<void> {
  const where = `${name} at ${days} days`;
  await packets(page);
  await page.getByLabel('Which student').selectOption({ label: name });
  await page.getByLabel('At which time').fill(await inDays(page, days));
  let last = '';
  const inData = async () => {
    last = (await packets(page)).at(-1) ?? last;
    return last.includes('"cover":{') ? ALL.filter((one) => last.includes(one)) : 'nothing came yet';
  };
  const shown = Array.isArray(told) ? told : [];
  // The student comes first, then the time: what is looked at is what came last.
  await expect.poll(inData, { message: `in the data of ${where}` }).toEqual(shown);
  await expect(then(page), where).toContainText(told instanceof RegExp ? told : '0 of 1');
  const onPage = async () => {
    const text = (await then(page).textContent()) ?? '';
    return ALL.filter((one) => one.startsWith('CANARY') && text.includes(one));
  };
  await expect
    .poll(onPage, { message: `on the page of ${where}` })
    .toEqual(shown.filter((one) => one.startsWith('CANARY')));
}

test(
  'three groups on three days: one of each looks at five instants, and neither the page nor its data holds more than the plan says',
  { tag: '@long' },
  async ({ page }) => {
    await hearWorkers(page.context());
    await newQuiz(page, 'Three days', 'Word or phrase');
    await page.getByLabel('Another right answer').fill('CANARY form');
    await page.keyboard.press('Enter');
    await (await come(page, 'Feedback for wrong answers')).fill('CANARY wrong');
    await (await come(page, 'Explanation')).fill('CANARY explanation');
    await saved(page);
    await goTo(page, 'Tray');
    await page.getByRole('button', { name: /^Change who takes this quiz|Change/ }).first().click(); // prettier-ignore
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('8C, 26 students').uncheck();
    await dialog.getByLabel('7B, 22 students').check();
    await dialog.getByRole('button', { name: 'Set the quiz' }).click();

    await goTo(page, 'Plan');
    await finer(page);
    await page.getByLabel('Feedback with its links appears', { exact: true }).selectOption('closed');
    await page
      .getByLabel('The right answers and explanations appear', { exact: true })
      .selectOption('allClosed all');
    await page
      .getByLabel('The right answers and explanations appear: how much later', { exact: true })
      .selectOption('1 hour later');
    await saved(page);
    await timesFor(page, '7B field group 1', -1, 0.5);
    await timesFor(page, '7B field group 2', -0.5, 1.5);
    await timesFor(page, '7B field group 3', 2, 3);

    // What hints at the key is one quiet line; a strict teacher is warned of it.
    await page.getByRole('button', { name: 'Be strict: warn of this too' }).click();
    // Feedback at the end of one's own day can be told to those who still sit: held back, it can not.
    const leaks = page.getByRole('list', { name: 'Warnings' });
    await expect(
      leaks
        .locator('strong')
        .filter({ hasText: /^7B field group 1.* could pass answers on to 7B field group 3\.$/ }),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Show all of it after closing' }).click();
    await expect(leaks).toHaveCount(0);
    await page
      .getByRole('region', { name: 'Changes to the plan' })
      .getByRole('button', { name: 'Discard changes' })
      .click();
    await expect(leaks).toBeVisible();
    // The questions alone go with the score: what was right and wrong waits with the feedback.
    await page.getByRole('button', { name: 'Ignore all' }).click();
    await expect(leaks).toHaveCount(0);

    await goTo(page, 'Tray');
    await handIn(page, 'Amal Syke');
    await handIn(page, 'Bruno Ghyll');
    await goTo(page, 'Plan');

    const SCORE: Told[] = ['"score":{'];
    const CLOSED: Told[] = ['CANARY wrong', ...SCORE];
    const looks: [days: number, Record<string, Told[] | RegExp>][] = [
    [-0.7, { 'Amal Syke': /open, and not begun/, 'Bruno Ghyll': /not open/, 'Carla Strait': /not open/ }],
    [0.1, { 'Amal Syke': SCORE, 'Bruno Ghyll': SCORE, 'Carla Strait': /not open for this student. It opens/ }],
    [0.6, { 'Amal Syke': CLOSED, 'Bruno Ghyll': SCORE, 'Carla Strait': /not open for this student. It opens/ }],
    [2.5, { 'Amal Syke': CLOSED, 'Bruno Ghyll': CLOSED, 'Carla Strait': /open, and not begun/ }],
    [3.1, { 'Amal Syke': [...ALL], 'Bruno Ghyll': [...ALL], 'Carla Strait': /not open for this student/ }],
  ]; // prettier-ignore
    for (const [days, students] of looks)
      for (const [name, told] of Object.entries(students)) await lookAt(page, name, days, told);
  },
);
