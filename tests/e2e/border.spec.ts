import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { join } from 'node:path';
import { anotherKind, expect, goTo, hearWorkers, pageOf, putIntoEffect, saved, test } from './support';
import { come } from './come';

interface Chunk {
  modules: string[];
  imports: string[];
}

const dist = join(process.env['DIST'] ?? 'dist-test', 'client');

/** Every browser file that a page loads, at once or later, workers apart. */
function filesOf(page: string): string[] {
  const chunks = JSON.parse(readFileSync('.cache/chunk-modules.json', 'utf8')) as Record<string, Chunk>;
  // Files of workers are fetched ahead by a line of their own.
  const html = readFileSync(join(dist, page), 'utf8').replace(
    /<script>for\(const file of \[[^<]*<\/script>/,
    '',
  );
  const found = new Set<string>();
  const walk = (file: string) => {
    if (found.has(file)) return;
    found.add(file);
    for (const next of chunks[file]?.imports ?? []) walk(next);
  };
  for (const [, file] of html.matchAll(/["']\/(_astro\/[^"']+\.js)["']/g)) walk(file as string);
  return [...found];
}

for (const [page, own] of [
  ['sit/index.html', 'desks/sit/Sit'],
  ['in/index.html', 'desks/sit/door/InPage'],
] as const)
  test(`the student’s page at ${page} holds no store, no keys and no marking`, () => {
    const chunks = JSON.parse(readFileSync('.cache/chunk-modules.json', 'utf8')) as Record<string, Chunk>;
    const modules = filesOf(page).flatMap((file) => chunks[file]?.modules ?? []);
    expect(modules.some((module) => module.includes(own))).toBe(true);
    expect(modules.some((module) => module.includes('kinds/phrase/Sit'))).toBe(true);
    const forbidden =
      /src\/store\/|src\/core\/(marking|answers|kinds|checking|formats|reveal)\/|src\/kinds\/\w+\/Write|node_modules\/(dexie|zod|re2js|papaparse|temml|speech-rule-engine)|src\/typeset/;
    // How far an answer is complete, and where things stand on a picture: nothing of a key.
    const allowed = /src\/core\/kinds\/(progress|\w+\/(progress|none|typedIn|places))\.ts$/;
    expect(modules.filter((module) => forbidden.test(module) && !allowed.test(module))).toEqual([]);
  });

const sizeOf = (file: string) => gzipSync(readFileSync(join(dist, file))).length;
/** Of the languages that students are told in, a page fetches one. */
function languagesAmong(files: readonly string[]): string[] {
  const chunks = JSON.parse(readFileSync('.cache/chunk-modules.json', 'utf8')) as Record<string, Chunk>;
  return files.filter((file) =>
    chunks[file]?.modules.some((module) => /src\/ui\/told\/(?!en)[a-z]{2}\.ts$/.test(module)),
  );
}
const bytesOf = (files: readonly string[], languages: readonly string[]): number =>
  files
    .filter((file) => !languages.includes(file))
    .reduce((sum, file) => sum + sizeOf(file), Math.max(...languages.map(sizeOf)));

test('the student’s page stays small', () => {
  const files = filesOf('sit/index.html');
  const languages = languagesAmong(files);
  expect(languages).toHaveLength(6);
  const bytes = bytesOf(files, languages);
  expect(bytes).toBeGreaterThan(20_000);
  expect(bytes).toBeLessThan(150_000);
});

test('over a network, a student’s page begins with less than 120 kB of scripts', () => {
  const html = readFileSync(join(dist, 'in/index.html'), 'utf8');
  const first = new Set(
    [...html.matchAll(/["']\/(_astro\/[^"']+\.js)["']/g)].map(([, file]) => file as string),
  );
  const bytes = bytesOf([...first], languagesAmong(filesOf('in/index.html')));
  expect(bytes).toBeGreaterThan(20_000);
  expect(bytes).toBeLessThan(120_000);
});

test('no key reaches the student’s page before its time', async ({ page, context }) => {
  await hearWorkers(context);
  await page.goto('/');
  await page.getByRole('button', { name: 'New quiz' }).click();
  await page.getByLabel('Title of the quiz').fill('Canaries');
  await page.getByRole('button', { name: 'Pick one', exact: true }).click();
  await page.getByLabel('Option 1', { exact: true }).fill('alpha');
  await page.getByLabel('Option 2', { exact: true }).fill('beta');
  await page.getByRole('button', { name: 'alpha is right' }).click();
  await (await come(page, 'Feedback for alpha')).fill('CANARY feedback');
  await (await come(page, 'Feedback for right answers')).fill('CANARY right');
  await (await come(page, 'Feedback for wrong answers')).fill('CANARY wrong');
  await (await come(page, 'Explanation')).fill('CANARY explanation');
  await (await come(page, 'Feedback for alpha if it is missed')).fill('CANARY missed');
  await page.getByRole('button', { name: /^Hint of / }).click();
  await page.getByRole('textbox', { name: 'Hint 1', exact: true }).fill('CANARY hint');
  await page.getByRole('button', { name: 'Feedback on the whole score' }).click();
  await (await come(page, 'Feedback for score level 1')).fill('CANARY band');
  await anotherKind(page, 'Word or phrase');
  await page.getByLabel('Another right answer').fill('CANARY form');
  await page.keyboard.press('Enter');
  await page.getByLabel('Another expected wrong answer').fill('CANARY expected');
  await page.keyboard.press('Enter');
  await saved(page);
  await goTo(page, 'Plan');
  await page.getByRole('radio', { name: /^Everything when I choose/ }).click();
  await page.getByRole('banner').getByRole('button', { name: 'Open to students' }).click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await goTo(page, 'Tray');
  const sit = await pageOf(page, 'Ada Marsh');
  const everything = async () =>
    `${(await sit.evaluate(() => (window as unknown as { heard: string[] }).heard)).join('\n')}\n${await sit.content()}`;
  await sit.getByRole('button', { name: 'Begin' }).click();
  await sit.getByText('beta').click();
  await sit.getByRole('button', { name: 'Next' }).click();
  await sit.getByRole('textbox').fill('mine');
  await sit.getByRole('button', { name: 'Review and hand in' }).click();
  await sit.getByRole('button', { name: 'Hand in' }).click();
  await expect(sit.getByText('It has been received.')).toBeVisible();
  const before = await everything();
  expect(before).toContain('beta');
  expect(before).not.toContain('CANARY');
  expect(before).not.toContain('credit');

  await goTo(page, 'Plan');
  // Feedback says nothing without the questions: it waits for them too.
  await page.getByLabel('Feedback with its links appears', { exact: true }).selectOption('handedIn');
  await page.getByLabel('The questions appear', { exact: true }).selectOption('handedIn');
  expect(await putIntoEffect(page)).toContain('It shows questions and feedback to 1 student at once.');
  await sit.bringToFront();
  await sit.reload();
  await expect(sit.getByText('CANARY wrong').first()).toBeVisible();
  const after = await everything();
  for (const hidden of [
    'CANARY form',
    'CANARY explanation',
    'CANARY right',
    'CANARY feedback',
    'CANARY expected',
    'CANARY missed',
    'CANARY hint',
    'CANARY band',
  ]) {
    expect(after).not.toContain(hidden);
  }
});
