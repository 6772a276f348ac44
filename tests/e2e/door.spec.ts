import type { Browser, Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { fits } from './fits';
import { checkRow, DEMO, expect, goTo, test, timesFor } from './support';

/** Students on their own devices: a teacher and a student in two browsers, through this server. */

// One after the other: a ticket opens every door of its student, and both have the same school.
test.describe.configure({ mode: 'default' });

async function ticketOf(page: Page, name: string): Promise<string> {
  await page.goto('/tickets/?class=demo-class-8c');
  const slip = page.getByRole('listitem').filter({ hasText: name });
  return (await slip.getByText(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/).textContent()) ?? '';
}

/** A student's phone: a browser of its own, with nothing in it. */
async function phoneOf(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    hasTouch: true,
  });
  return context.newPage();
}

async function openDoor(page: Page): Promise<void> {
  await page.goto(`${DEMO}#tray`);
  await page.getByRole('button', { name: 'Open a door…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Open a door for students’ devices' });
  await expect(dialog).toContainText('until you close the door or for 90 days');
  await dialog.getByRole('button', { name: 'Open the door' }).click();
  await expect(page.getByText(/^A door is open since/)).toBeVisible();
}

const rowOf = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });

test('a door: opened, sat behind on a phone, once without a network, marked with the teacher away, fetched, followed, closed', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(150_000);
  const ticket = await ticketOf(page, 'Yann Isle');
  await openDoor(page);
  await expectAccessible(page, 'the Tray with a door');

  const phone = await phoneOf(browser);
  const told: string[] = [];
  phone.on('response', (response) => {
    if (response.url().includes('/api/'))
      void response.text().then(
        (text) => told.push(text),
        () => undefined,
      );
  });
  const addresses: string[] = [];
  phone.on('request', (request) => addresses.push(request.url()));
  await phone.goto(`${baseURL}/in/`);
  await phone.getByLabel('Ticket', { exact: true }).click();
  await phone.keyboard.type('c7rd2kwp');
  await phone.keyboard.press('Enter');
  await expect(phone.getByText(/Nobody has this ticket|One of the signs is not right/)).toBeVisible();
  await phone.getByLabel('Ticket', { exact: true }).click();
  await phone.keyboard.press('Control+a');
  await phone.keyboard.type(ticket);
  await phone.keyboard.press('Enter');
  await expect(phone.getByRole('heading', { name: 'Yann Isle’s quizzes' })).toBeVisible();
  await expectAccessible(phone, 'a student’s own page');
  await fits(phone, 'a student’s own page');
  await phone.getByRole('button', { name: /^How rivers shape the land/ }).tap();
  await phone.getByRole('button', { name: 'Begin' }).tap();
  await phone.getByLabel('upper course').check();
  await expect(phone.getByText(/^Received at/)).toBeVisible();
  await expect(rowOf(page, 'Yann Isle')).toContainText('1 answered');

  // The network goes in the middle: the page goes on, and says what is not sent.
  await phone.context().setOffline(true);
  await phone.getByRole('button', { name: 'Next' }).tap();
  await phone.getByRole('textbox').click();
  await phone.keyboard.type('ox-bow');
  await expect(phone.getByText(/^Saved on this device at .*, not sent yet$/)).toBeVisible();
  await phone.context().setOffline(false);
  await expect(phone.getByText(/^Received at/)).toBeVisible();

  // Handed in with the teacher's browser closed: what the plan shows is there at once.
  await page.goto('about:blank');
  for (let at = 2; at < 8; at++) await phone.getByRole('button', { name: 'Next' }).tap();
  await phone.getByRole('button', { name: 'Review and hand in' }).tap();
  expect(told.join('\n')).not.toContain('oxbow');
  await phone.getByRole('button', { name: 'Hand in', exact: true }).tap();
  await expect(phone.getByText('It has been received.')).toBeVisible();
  const receipt =
    /Receipt ([2-9A-Z]{4}-[2-9A-Z]{4})/.exec((await phone.getByText(/^Receipt /).textContent()) ?? '')?.[1] ??
    '';
  expect(receipt).not.toBe('');
  await fits(phone, 'a result behind a door');

  // She comes back: everything is fetched; the receipt is that of this paper.
  await page.goto(`${DEMO}#tray`);
  await expect(rowOf(page, 'Yann Isle')).toContainText('handed in');
  await page.getByLabel('Check a receipt').click();
  await page.keyboard.type(receipt.toLowerCase());
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^It is of Yann Isle, handed in/)).toBeVisible();
  await goTo(page, 'Check');
  await expect.poll(async () => (await checkRow(page, 'Yann Isle')).at(-1)).toMatch(/^1\b/);

  // She accepts the form for everyone: the phone follows by itself.
  await expect(phone.getByText('1 of 12', { exact: true })).toBeVisible();
  const row = page
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name: 'Yann Isle', exact: true }) });
  await row.getByRole('button', { name: /^Question 2:/ }).click();
  await page.keyboard.press('a');
  await page.getByRole('button', { name: 'Apply to all' }).click();
  await expect.poll(async () => (await checkRow(page, 'Yann Isle')).at(-1)).toMatch(/^3\b/);
  await expect(phone.getByText('3 of 12', { exact: true })).toBeVisible({ timeout: 40_000 });

  await goTo(page, 'Tray');
  await page.getByRole('button', { name: 'Close the door…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close the door' }).click();
  await expect(page.getByText('The door is closed, and nothing of it is left on the server')).toBeVisible();
  await phone.getByRole('button', { name: 'All my quizzes' }).tap();
  await expect(phone.getByText('Nobody has this ticket.', { exact: false })).toBeVisible();
  const bare = ticket.replace('-', '').toLowerCase();
  expect(addresses.some((address) => address.toLowerCase().replace(/#.*/, '').includes(bare))).toBe(false);
});

/** A student at `/in/` with their ticket, at the quiz on rivers. */
async function atQuiz(browser: Browser, baseURL: string | undefined, ticket: string): Promise<Page> {
  const phone = await phoneOf(browser);
  await phone.goto(`${baseURL}/in/`);
  await phone.getByLabel('Ticket', { exact: true }).click();
  await phone.keyboard.type(ticket);
  await phone.keyboard.press('Enter');
  await phone.getByRole('button', { name: /^How rivers shape the land/ }).tap();
  return phone;
}

test('closed while a phone has no network: what it sends later is put before the teacher; a group sits on in its own time', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(150_000);
  const tickets = [await ticketOf(page, 'Yann Isle'), await ticketOf(page, 'Zoe Mere')] as const;
  await openDoor(page);
  const phone = await atQuiz(browser, baseURL, tickets[0]);
  await expect(rowOf(page, 'Yann Isle')).toContainText('has seen the first page');
  await phone.getByRole('button', { name: 'Begin' }).tap();
  await phone.getByLabel('lower course').check();
  await expect(phone.getByText(/^Received at/)).toBeVisible();
  await phone.context().setOffline(true);
  await phone.getByLabel('upper course').check();
  await phone.getByRole('button', { name: 'Next' }).tap();
  await phone.getByRole('textbox').click();
  await phone.keyboard.type('oxbow lake');
  await expect(phone.getByText(/^Saved on this device at .*, not sent yet$/)).toBeVisible();

  // Everyone's time ends now; Zoe's group is given until the day after tomorrow.
  await page.getByRole('button', { name: /^Open · closes/ }).click();
  await page.getByRole('button', { name: 'Close now' }).click();
  await expect(rowOf(page, 'Yann Isle')).toContainText('not handed in when it closed');
  await goTo(page, 'Plan');
  await timesFor(page, '8C green', -1, 2);
  await goTo(page, 'Tray');
  const other = await atQuiz(browser, baseURL, tickets[1]);
  await other.getByRole('button', { name: 'Begin' }).tap();
  await other.getByLabel('upper course').check();
  await expect(other.getByText(/^Received at/)).toBeVisible();
  await expect(rowOf(page, 'Zoe Mere')).toContainText('1 answered');

  // The network is back: nothing that was collected has changed, and both sides are told.
  await phone.context().setOffline(false);
  await expect(phone.getByText('The quiz has closed. Everything saved before then is safe.')).toBeVisible();
  await phone.getByRole('button', { name: 'Check whether my paper was handed in' }).tap();
  await expect(
    phone.getByText('2 answers came after the end. Your teacher sees this and decides.'),
  ).toBeVisible();
  await expect(phone.getByText('0 of 12', { exact: true })).toBeVisible();
  await fits(phone, 'a result with answers that came after the end');
  await expectAccessible(phone, 'a result with answers that came after the end');
  await page.getByRole('button', { name: '2 answers after the end of Yann Isle' }).click();
  const dialog = page.getByRole('dialog', { name: 'Yann Isle: answers that came after the end' });
  await expect(dialog.getByRole('listitem')).toHaveText([
    /^Question 1\s*upper course instead of lower courseMade .* by the device’s clock, received /,
    /^Question 2\s*oxbow lake instead of no answerMade /,
  ]);
  await expect(dialog).toContainText('The score becomes 3 of 12 instead of 0 of 12.');
  await expectAccessible(page, 'answers that came after the end');
  await dialog.getByRole('button', { name: 'Count them' }).click();
  await expect(page.getByRole('button', { name: /after the end of Yann Isle/ })).toHaveCount(0);
  await expect(phone.getByText('3 of 12', { exact: true })).toBeVisible({ timeout: 40_000 });
  await page.keyboard.press('Control+z');
  await expect(phone.getByText('0 of 12', { exact: true })).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: '2 answers after the end of Yann Isle' }).click();
  await dialog.getByRole('button', { name: 'Leave them out' }).click();
  await expect(page.getByRole('button', { name: /after the end of Yann Isle/ })).toHaveCount(0);
  await expect(phone.getByText(/came after the end/)).toHaveCount(0, { timeout: 40_000 });
  await page.getByRole('button', { name: 'Close the door…' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close the door' }).click();
  await expect(page.getByText('The door is closed, and nothing of it is left on the server')).toBeVisible();
});
