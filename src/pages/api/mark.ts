import type { APIRoute } from 'astro';
import { mark } from '@/server/mark/mark';
import { problemResponse } from '@/server/mark/problem';
import { now } from '@/device/clock';

export const prerender = false;

/** Marks attempts by a quiz: see `docs/marking-api.md`. */
export const POST: APIRoute = ({ request }) => mark(request, now());

export const ALL: APIRoute = () =>
  problemResponse({ status: 405, title: 'Send what is to be marked with POST.', problems: [] });
