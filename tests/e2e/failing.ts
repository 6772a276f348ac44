import { expect, type BrowserContext, type Page } from '@playwright/test';

/**
 * Writes to the browser’s storage that fail on command, in pages and in workers alike, just as they do where no room
 * is left: the write throws and its transaction ends.
 */
const PATCH = `
  (() => {
    let failing = false;
    let blind = false;
    const inWorker = typeof document === 'undefined';
    const line = new BroadcastChannel('test:failing');
    line.onmessage = ({ data }) => {
      failing = data === 'fail';
      blind = data === 'read nothing' && inWorker;
    };
    const patch = (prototype, name) => {
      const original = prototype[name];
      prototype[name] = function (...args) {
        if (failing) throw new DOMException('No room left (test)', 'QuotaExceededError');
        return original.apply(this, args);
      };
    };
    for (const name of ['put', 'add', 'delete', 'clear']) patch(IDBObjectStore.prototype, name);
    for (const name of ['update', 'delete']) patch(IDBCursor.prototype, name);
    for (const prototype of [IDBObjectStore.prototype, IDBIndex.prototype])
      for (const name of ['get', 'getAll', 'openCursor']) {
        const original = prototype[name];
        prototype[name] = function (...args) {
          if (blind) throw new DOMException('Cannot be read (test)', 'DataError');
          return original.apply(this, args);
        };
      }
  })();
`;

/** To be called before the first page is opened. */
export async function canFail(context: BrowserContext): Promise<void> {
  await context.addInitScript(PATCH);
  await context.route(/\.worker-[^/]*\.js$/, async (route) => {
    // A test may be over before a part has come that nobody waits for any more.
    const response = await route.fetch().catch(() => null);
    if (response)
      await route.fulfill({ response, body: `${PATCH}\n${await response.text()}` }).catch(() => undefined);
  });
}

/** From now on every write fails, or none does, or workers can read nothing. */
export async function writes(page: Page, how: 'fail' | 'succeed' | 'read nothing'): Promise<void> {
  await page.evaluate(
    (word) =>
      new Promise<void>((done) => {
        const line = new BroadcastChannel('test:failing');
        line.postMessage(word);
        // The message is in every page and worker before this one’s timers go on.
        setTimeout(() => {
          line.close();
          done();
        }, 150);
      }),
    how,
  );
}

/** What failed is said where it happened, in words that say what is safe. */
export async function expectSaid(page: Page, words: RegExp): Promise<void> {
  await expect(page.getByRole('alert').filter({ hasText: words }).first()).toBeVisible();
}
