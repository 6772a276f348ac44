import type { APIRoute } from 'astro';
import { answer, notHere } from '@/server/door/answer';
import type { Caller, DoorDesk } from '@/server/door/desk';

export const prerender = false;

const whole = (text: string | null): number => (/^\d{1,9}$/.test(text ?? '') ? Number(text) : 0);

/** What a teacher's browser asks of its door: see `docs/door.md`. The token stands in a header. */
const ACTS: Readonly<
  Record<
    string,
    (desk: DoorDesk, request: Request, caller: Caller, id: string, url: URL) => Promise<Response>
  >
> = {
  'GET work': (desk, request, caller, id, url) =>
    desk.work(request, caller, id, whole(url.searchParams.get('since'))),
  'GET events': (desk, request, caller, id) => desk.events(request, caller, id),
  'PUT change': (desk, request, caller, id) => desk.change(request, caller, id),
  'GET receipt': (desk, request, caller, id, url) =>
    desk.receipt(request, caller, id, url.searchParams.get('code') ?? ''),
  'GET media': (desk, request, caller, id) => desk.media(request, caller, id, ''),
  'PUT media': (desk, request, caller, id, url) =>
    desk.media(request, caller, id, url.searchParams.get('hash') ?? ''),
  'DELETE all': (desk, request, caller, id) => desk.close(request, caller, id),
};

export const ALL: APIRoute = (context) => {
  const { request, params, url } = context;
  const act = ACTS[`${request.method} ${params['what'] ?? ''}`];
  return act
    ? answer(context, (desk, caller) => act(desk, request, caller, params['id'] ?? '', url))
    : notHere();
};
