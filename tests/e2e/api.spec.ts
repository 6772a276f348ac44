import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { promisify } from 'node:util';
import papa from 'papaparse';
import { expect, openDemo, goTo, checkRow, test } from './support';

const run = promisify(execFile);
const page = readFileSync('docs/marking-api.md', 'utf8');
const lines = [...page.matchAll(/```sh\n([\s\S]*?)```/g)].flatMap(([, block]) =>
  (block ?? '').trim().split('\n'),
);

/** Runs a line of the page as it stands, against the server of these tests. */
async function shell(line: string, baseURL: string): Promise<string> {
  const { stdout } = await run('sh', ['-c', line], {
    env: { ...process.env, YENTREL: baseURL },
    maxBuffer: 50_000_000,
  });
  return stdout;
}

/** Names and scores of a scores file, found by their headings. */
const scoresIn = (csv: string): [name: string, score: number][] => {
  const [head = [], ...rows] = papa.parse(csv.replace(/^\uFEFF/, '').trim(), { delimiter: ',' }).data;
  return rows.map((row) => [row[head.indexOf('Name')] ?? '', Number(row[head.indexOf('Score')])]);
};

interface Marked {
  students: { student: string; recorded: { score: { about: number } } }[];
}

test('every curl line of the page works as it stands, and gives the same scores', async ({ baseURL }) => {
  const curls = lines.filter((line) => line.startsWith('curl '));
  expect(curls.length).toBe(5);
  const [json, form, traced, csv, schema] = await Promise.all(
    curls.map((line) => shell(line, baseURL ?? '')),
  );
  const scores = (JSON.parse(json ?? '') as Marked).students.map(({ student, recorded }) => [
    student,
    recorded.score.about,
  ]);
  expect(scoresIn(csv ?? '')).toEqual(scores);
  const fromForm = (JSON.parse(form ?? '') as Marked).students;
  expect((JSON.parse(traced ?? '') as Marked).students.map(({ recorded }) => recorded)).toEqual(
    fromForm.map(({ recorded }) => recorded),
  );
  expect(traced).toContain('8 questions add up to');
  expect(JSON.parse(schema ?? '')).toMatchObject({ title: 'Yentrel: quiz-file' });
});

test('the same answer file gives the same scores by curl, by the command line and in the interface', async ({
  page: browser,
  baseURL,
}) => {
  test.setTimeout(90_000);
  const answers = 'demo/import/answers.csv';
  const curl = lines.find((line) => line.includes('-F answers=') && !line.includes('traces')) ?? '';
  const { students } = JSON.parse(await shell(curl, baseURL ?? '')) as Marked;
  const scores = new Map(students.map(({ student, recorded }) => [student, recorded.score.about]));
  expect(scores.size).toBeGreaterThan(3);

  const { stdout } = await run(process.execPath, [
    '--import',
    'tsx',
    'scripts/mark.ts',
    'demo/import/rivers.yentrel',
    answers,
  ]);
  expect(new Map(scoresIn(stdout))).toEqual(scores);

  await openDemo(browser, 'tray');
  await browser.getByLabel('Answer file', { exact: true }).setInputFiles(answers);
  await browser.getByRole('button', { name: 'Add all' }).click();
  await browser.getByRole('button', { name: /^Import \d+ papers$/ }).click();
  await goTo(browser, 'Check');
  // Ada handed in on screen: no file replaces that.
  expect(scores.get('Ada Marsh')).toBe(0);
  scores.delete('Ada Marsh');
  for (const [name, score] of scores) {
    await expect(browser.getByRole('rowheader', { name, exact: true })).toBeVisible();
    // The table may still be drawing what has just come in.
    await expect
      .poll(async () => (await checkRow(browser, name)).at(-1) ?? '', { message: name })
      .toMatch(new RegExp(`(^|[^\\d.])${String(score).replace('.', '\\.')}$`));
  }
});

test('a request from another page is refused, and so is another method, as problem details', async ({
  request,
}) => {
  const foreign = await request.post('/api/mark', {
    data: {},
    headers: { origin: 'http://elsewhere.example' },
  });
  expect([foreign.status(), foreign.headers()['content-type']]).toEqual([
    403,
    'application/problem+json; charset=utf-8',
  ]);
  const got = await request.get('/api/mark');
  expect([got.status(), got.headers()['content-type']]).toEqual([
    405,
    'application/problem+json; charset=utf-8',
  ]);
  const unknown = await request.get('/api/schema/nothing.json');
  expect(unknown.status()).toBe(404);
});

test('what is not there is kept by nobody, wherever it would be', async ({ request }) => {
  for (const path of [
    '/_astro/nothing.js',
    '/_astro/nothing.woff2',
    '/_astro/',
    '/words/xx-1.bin',
    '/nothing',
  ]) {
    const response = await request.get(path, { maxRedirects: 0 });
    if (response.status() !== 404) continue;
    expect(response.headers()['cache-control'], path).toBe('no-store');
  }
  expect((await request.get('/_astro/nothing.js')).status()).toBe(404);
});
