/**
 * Ten thousand students × forty questions, run by `npm run bench:ui` against a served build (ADDRESS): Check ready after the
 * press, frames while scrolling, and a judged bundle to its effect. The class is put into the browser's database as it would
 * stand there; each figure stands beside the same one for the demo class of 24.
 */
import { chromium, type Page } from '@playwright/test';

const STUDENTS = Number(process.env['STUDENTS'] ?? 10_000);
const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:4321';
const QUIZ = 'bench-quiz';

/** Makes a quiz of forty questions out of the demo quiz's eight, and so many papers, in the page's own database. */
const fill = (page: Page): Promise<void> =>
  page.evaluate(
    async ({ students, quizId }) => {
      interface Quiz {
        id: string;
        createdAt: number;
        content: { title: string; order: string[]; sections: unknown[] };
        standing: { live: number; setTo: unknown[] };
      }
      interface Written {
        id: string;
        quizId: string;
        question: object;
        placement: object;
      }
      interface Paper {
        quizId: string;
        answers: Record<string, { text?: string }>;
      }
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const open = indexedDB.open('yentrel');
        open.onsuccess = () => done(open.result);
        open.onerror = () => fail(open.error);
      });
      const all = <Row>(table: string) =>
        new Promise<Row[]>((done) => {
          const asked = db.transaction(table).objectStore(table).getAll();
          asked.onsuccess = () => done(asked.result as Row[]);
        });
      const put = (table: string, rows: unknown[]) =>
        new Promise<void>((done, fail) => {
          const writing = db.transaction(table, 'readwrite');
          for (const row of rows) writing.objectStore(table).put(row);
          writing.oncomplete = () => done();
          writing.onerror = () => fail(writing.error);
        });
      let state = 7;
      const random = () => {
        state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
        return state / 0x7fffffff;
      };
      const copy = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value;
      const quizzes = await all<Quiz>('quizzes');
      const quiz = copy(quizzes.find(({ id }) => id === 'demo-rivers') as Quiz);
      const questions = (await all<Written>('questions'))
        .filter((one) => one.quizId === 'demo-rivers')
        .sort((a, b) => quiz.content.order.indexOf(a.id) - quiz.content.order.indexOf(b.id));
      const own = [0, 1, 2, 3, 4].flatMap((turn) =>
        questions.map((record) => {
          const made = copy(record);
          const id = `${record.id}-${turn}`;
          return {
            ...made,
            id,
            quizId,
            question: { ...made.question, id },
            placement: { ...made.placement, questionId: id },
          };
        }),
      );
      quiz.id = quizId;
      quiz.content.title = 'Ten thousand';
      quiz.content.order = own.map(({ id }) => id);
      quiz.content.sections = [];
      quiz.standing.live = 1;
      const classId = 'bench-class';
      quiz.standing.setTo = [{ classId, group: null }];
      await put('quizzes', [quiz]);
      await put('questions', own);
      await put('questionRevs', own.map(({ quizId: of, id, question, placement }) => ({ quizId: of, questionId: id, rev: 1, question, placement }))); // prettier-ignore
      await put('quizRevs', [{ quizId, rev: 1, parent: null, at: quiz.createdAt, why: 'opened', content: quiz.content, questionRevs: Object.fromEntries(own.map(({ id }) => [id, 1])) }]); // prettier-ignore
      const [school] = await all<object>('classes');
      await put('classes', [{ ...school, id: classId, name: 'Everyone', position: 9 }]);
      const [person] = await all<object>('students');
      const [member] = await all<object>('members');
      const samples = (await all<Paper>('attempts')).filter((one) => one.quizId === 'demo-rivers');
      const [sample] = samples;
      const people: unknown[] = [];
      const members: unknown[] = [];
      const attempts: unknown[] = [];
      for (let at = 0; at < students; at++) {
        const id = `bench-${at}`;
        people.push({
          ...person,
          id,
          name: `Student ${String(at).padStart(5, '0')}`,
          number: String(at),
          email: '',
        });
        members.push({
          ...member,
          classId,
          studentId: id,
          groups: [at % 3 ? 'blue' : 'green'],
          removedAt: null,
          position: at,
        });
        const answers: Record<string, unknown> = {};
        for (const { id: question } of own) {
          const from = samples[Math.floor(random() * samples.length)] as Paper;
          const given = from.answers[question.slice(0, -2)];
          if (given)
            answers[question] =
              given.text !== undefined && random() < 0.02 ? { ...given, text: `${given.text} ${at}` } : given;
        }
        attempts.push({ ...sample, id: `bench-paper-${at}`, quizId, studentId: id, number: 1, revision: 1, answers, hints: {}, saves: {}, seq: at + 1 }); // prettier-ignore
      }
      await put('students', people);
      await put('members', members);
      for (let at = 0; at < attempts.length; at += 1000) await put('attempts', attempts.slice(at, at + 1000));
      db.close();
    },
    { students: STUDENTS, quizId: QUIZ },
  );

interface Figures {
  readonly ready: number;
  readonly again: number;
  readonly frame95: number;
  readonly frameMost: number;
  readonly effect: number;
  readonly longest: number;
}

const quantile = (values: number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] as number;

const longTasks = (page: Page): Promise<number[]> =>
  page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks.splice(0));

async function ready(page: Page, quiz: string): Promise<number> {
  await page.goto(`${address}/quiz/?id=${quiz}#plan`);
  await page.getByRole('heading', { name: 'Plan', exact: true }).waitFor();
  await page.waitForTimeout(200);
  return page.evaluate(async () => {
    const start = performance.now();
    location.hash = '#check';
    while (!document.querySelector('[data-cell]')) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  });
}

async function measure(page: Page, quiz: string): Promise<Figures> {
  const first = await ready(page, quiz);
  await page.waitForTimeout(3000);
  const again = await ready(page, quiz);
  await page.waitForTimeout(3000);
  await longTasks(page);
  const frames = await page.evaluate(async () => {
    const box = document.querySelector('[aria-label="Scores"]')?.parentElement as HTMLElement;
    const times: number[] = [];
    let last = performance.now();
    const end = last + 2000;
    while (last < end) {
      const wrap = box.scrollTop + box.clientHeight >= box.scrollHeight - 1;
      box.scrollTop = wrap ? 0 : box.scrollTop + 300;
      const now = await new Promise<number>(requestAnimationFrame);
      times.push(performance.now() - last);
      last = Math.max(now, performance.now());
    }
    box.scrollTop = 0;
    return times;
  });
  await page.getByRole('button', { name: 'One question' }).click();
  await page.getByLabel('Question', { exact: true }).selectOption({ index: 3 });
  const bundle = page.locator('[data-bundle]').filter({ hasText: 'flood plain' }).first();
  await bundle.click();
  await page.getByRole('button', { name: /Accept as right/ }).waitFor();
  await page.waitForTimeout(1500);
  const judge = async (): Promise<number> => {
    const took = await page.evaluate(async () => {
      const start = performance.now();
      document
        .querySelector('[data-bundle][aria-pressed="true"]')
        ?.dispatchEvent(new KeyboardEvent('keydown', { key: 'a', bubbles: true }));
      const bar = () =>
        document.querySelector('[aria-label="Changes not applied"] [role="status"]')?.textContent ?? '';
      while (!/ up/.test(bar())) await new Promise(requestAnimationFrame);
      return performance.now() - start;
    });
    await page.keyboard.press('Control+z');
    await page.locator('[aria-label="Changes not applied"]').waitFor({ state: 'detached' });
    await page.waitForTimeout(800);
    return took;
  };
  const effect = Math.min(await judge(), await judge(), await judge());
  const tasks = await longTasks(page);
  if (process.env['TASKS']) console.log(quiz, tasks);
  return {
    ready: first,
    again,
    frame95: quantile(frames, 0.95),
    frameMost: Math.max(...frames),
    effect,
    longest: Math.max(0, ...tasks),
  };
}

const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript('globalThis.__name = (named) => named');
await page.addInitScript(() => {
  const tasks: number[] = [];
  (window as unknown as { longTasks: number[] }).longTasks = tasks;
  new PerformanceObserver((list) => list.getEntries().forEach((entry) => tasks.push(entry.duration))).observe(
    { type: 'longtask', buffered: true },
  );
});
await page.goto(`${address}/`);
await page.getByText('24 of 26 handed in').waitFor();
await fill(page);
const small = await measure(page, 'demo-rivers');
const large = await measure(page, QUIZ);
await browser.close();

const round = (value: number) => +value.toFixed(1);
const line = (key: keyof Figures) => ({
  'class of 24, ms': round(small[key]),
  [`${STUDENTS} × 40, ms`]: round(large[key]),
  ratio: round(large[key] / Math.max(0.1, small[key])),
});
console.table({
  'Check ready, marked for the first time': line('ready'),
  'Check ready, after a reload': line('again'),
  'frame while scrolling, p95': line('frame95'),
  'frame while scrolling, longest': line('frameMost'),
  'a judged bundle to its effect': line('effect'),
  'longest task of the page': line('longest'),
});
