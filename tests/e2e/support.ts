import { readFileSync } from 'node:fs';
import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';

/** Every test fails on a console error, a warning about preloads, an uncaught error, or anything that the content policy refused. */
export const test = base.extend<{ quiet: void; allowedErrors: RegExp[] }>({
  allowedErrors: [[], { option: true }],
  quiet: [
    async ({ context, allowedErrors }, use) => {
      const troubles: string[] = [];
      const note = (text: string) => {
        if (!allowedErrors.some((pattern) => pattern.test(text))) troubles.push(text);
      };
      await context.addInitScript(() => {
        document.addEventListener('securitypolicyviolation', (event) => {
          console.error(`policy: ${event.violatedDirective} ${event.blockedURI}`);
        });
      });
      context.on('console', (message) => {
        const isPreload = message.type() === 'warning' && message.text().includes('preload');
        if (message.type() === 'error' || isPreload) note(message.text());
      });
      context.on('weberror', (error) => note(error.error().message));
      await use();
      expect(troubles, 'errors on the console').toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

export const DEMO = '/quiz/?id=demo-rivers';

/** Opens a station of the demo quiz in a fresh browser. */
export async function openDemo(page: Page, station: string): Promise<void> {
  await page.goto(`${DEMO}#${station}`);
  await expect(page.getByRole('navigation', { name: 'Desks' })).toBeVisible();
}

/** Goes to a station of the quiz at hand. */
export async function goTo(page: Page, title: string): Promise<void> {
  // A page behind another one draws once a second only.
  await page.bringToFront();
  await page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: title }).click();
}

/** Unfolds the sentences of the plan, unless they are. */
export async function finer(page: Page): Promise<void> {
  await expect(page.getByRole('radiogroup', { name: 'What students see, and when' })).toBeVisible();
  const press = page.getByRole('button', { name: 'Finer, or for one group' });
  if ((await press.count()) > 0 && (await press.getAttribute('aria-expanded')) === 'false')
    await press.click();
}

export const saved = (page: Page) =>
  expect(page.getByRole('banner').getByText('saved', { exact: true })).toBeVisible();

/** A new quiz of a title, with a first question of a kind. */
export async function newQuiz(page: Page, title: string, kind: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByLabel('Title of the quiz').fill(title);
  await page.getByRole('button', { name: kind, exact: true }).click();
}

/** Opens the quiz at hand, from now on and without an end. */
export async function openIt(page: Page): Promise<void> {
  await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
  await page.getByRole('checkbox', { name: 'It stays open until I close it' }).check();
  await page.getByRole('button', { name: 'Open it' }).click();
}

/** Lets pages keep every message that a worker sends them, as text, in `heard`. */
export const hearWorkers = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(() => {
    const heard: string[] = [];
    Object.assign(window, { heard });
    const listen = Worker.prototype.addEventListener;
    Worker.prototype.addEventListener = function (
      this: Worker,
      type: string,
      listener: unknown,
      options?: unknown,
    ) {
      if (type === 'message')
        listen.call(this, 'message', ((event: Event) =>
          heard.push(JSON.stringify((event as MessageEvent).data))) as EventListener);
      return listen.call(this, type as 'message', listener as EventListener, options as boolean);
    };
  });

/** Puts a plan into effect that was changed after students could sit, and says what it was said to do. */
export async function putIntoEffect(page: Page): Promise<string> {
  const changes = page.getByRole('region', { name: 'Changes to the plan' });
  await expect(changes.getByText('Working out whom it concerns')).toHaveCount(0);
  const words = (await changes.getByRole('status').textContent()) ?? '';
  await changes.getByRole('button', { name: 'Apply' }).click();
  await expect(changes).toHaveCount(0);
  return words;
}

const DAY = 86_400_000;

/** A field for date and time, so many days from now, in the browser's own zone. */
export const inDays = (page: Page, days: number): Promise<string> =>
  page.evaluate((ms) => {
    const at = new Date(Date.now() + ms);
    const two = (n: number) => String(n).padStart(2, '0');
    return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
  }, days * DAY);

/** Sets times for a class, a group or a student in the reveal plan: so many days from now. */
export async function timesFor(page: Page, name: string, from: number, until: number): Promise<void> {
  await page.getByLabel('Set times for a class, a group or a student').selectOption({ label: name });
  await page.getByRole('button', { name: `Set times for ${name}` }).click();
  const dialog = page.getByRole('dialog', { name: `Times for ${name}` });
  await dialog.getByLabel('Open from').fill(await inDays(page, from));
  await dialog.getByLabel('Until', { exact: true }).fill(await inDays(page, until));
  await dialog.getByRole('button', { name: 'Set the times' }).click();
  await expect(page.getByRole('button', { name: `Times for ${name}` })).toBeVisible();
}

/** Adds a question of another kind than the one before. */
export async function anotherKind(page: Page, kind: string): Promise<void> {
  await page.getByRole('button', { name: 'or another kind' }).click();
  await page
    .getByRole('list', { name: 'Kinds of question' })
    .getByRole('button', { name: kind, exact: true })
    .click();
}

/** Adds a student's page: the address behind their name in the tray; once handed in, their results stand there. */
export async function pageOf(
  page: Page,
  name: string,
  what: 'Student’s page' | 'Results' = 'Student’s page',
): Promise<Page> {
  const [opened] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('link', { name: `${what} of ${name}`, exact: true }).click(),
  ]);
  return opened;
}

/** The row of the Check table: each cell as spoken, and the total. */
export async function checkRow(page: Page, name: string): Promise<string[]> {
  const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
  const buttons = row.getByRole('button');
  const labels = await buttons.evaluateAll((cells) =>
    cells.map((cell) => cell.getAttribute('aria-label') ?? cell.textContent ?? ''),
  );
  return labels;
}

/** The downloaded file's text. */
export async function downloaded(
  page: Page,
  press: () => Promise<void>,
): Promise<{ name: string; text: string }> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  const stream = await file.createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return { name: file.suggestedFilename(), text: Buffer.concat(chunks).toString('utf8') };
}

/** A picture file of one colour, drawn in the page; wider than is ever stored. */
export async function drawing(page: Page, width: number, height: number): Promise<Buffer> {
  const base64 = await page.evaluate(
    async ([w, h]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [w, h];
      const pen = canvas.getContext('2d');
      if (pen) {
        pen.fillStyle = '#1d5b79';
        pen.fillRect(0, 0, w, h);
      }
      return canvas.toDataURL('image/png').split(',')[1] ?? '';
    },
    [width, height] as const,
  );
  return Buffer.from(base64, 'base64');
}

/** A quiz out as a file, from the Shelf, and that file opened there: what it holds is then shown. */
export async function outAndIn(page: Page, title: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: `More for ${title}` }).click();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  await page.getByLabel('Quiz file, backup or rescue file').setInputFiles({
    name: file.suggestedFilename(),
    mimeType: 'application/octet-stream',
    buffer: readFileSync(await file.path()),
  });
}
