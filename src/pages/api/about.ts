import type { APIRoute } from 'astro';
import { about } from '@/server/about';

export const prerender = false;

/** Says that a Yentrel answers here, so that a second start can tell. */
export const GET: APIRoute = () => Response.json(about());
