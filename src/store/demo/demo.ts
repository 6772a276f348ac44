import { db } from '../records/db';

/** Puts the made-up school into an empty browser, on the first visit only; it is loaded only then. */
export async function ensureDemo(): Promise<void> {
  if (await db.meta.get('started')) return;
  const { writeDemo } = await import('./demoSchool');
  await writeDemo();
}
