import type { APIContext } from 'astro';
import { problemResponse } from '../mark/problem';
import type { Caller, DoorDesk } from './desk';
import { callerOf, doorDesk } from './here';

/** One request about doors: answered by the desk, or with a problem document where the database is away. */
export async function answer(
  context: APIContext,
  work: (desk: DoorDesk, caller: Caller) => Promise<Response>,
): Promise<Response> {
  let desk: DoorDesk;
  try {
    desk = await doorDesk();
  } catch (error) {
    console.error(error instanceof Error ? error.message : 'The doors’ database cannot be opened');
    return problemResponse({
      status: 503,
      title: 'The server’s database cannot be reached. Nothing that was said to be safe is lost. Try again.',
      problems: [],
      retryAfter: 5,
    });
  }
  return work(desk, callerOf(context));
}

export const notHere = (): Response =>
  problemResponse({ status: 404, title: 'Nothing answers under this address.', problems: [] });
