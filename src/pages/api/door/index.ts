import type { APIRoute } from 'astro';
import { answer, notHere } from '@/server/door/answer';

export const prerender = false;

/** Opens a door: see `docs/door.md`. */
export const POST: APIRoute = (context) =>
  answer(context, (desk, caller) => desk.open(context.request, caller));

export const ALL: APIRoute = notHere;
