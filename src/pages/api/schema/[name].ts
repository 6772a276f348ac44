import type { APIRoute } from 'astro';
import { problemResponse } from '@/server/mark/problem';
import { jsonSchema, SCHEMA_NAMES } from '@/server/schemas';

export const prerender = false;

/** The JSON Schemas of the files: `/api/schema/quiz-file.json`. */
export const GET: APIRoute = ({ params }) => {
  const name = SCHEMA_NAMES.find((one) => `${one}.json` === params['name']);
  if (!name) {
    const known = SCHEMA_NAMES.map((one) => `${one}.json`).join(', ');
    return problemResponse({ status: 404, title: `There are ${known}.`, problems: [] });
  }
  return new Response(JSON.stringify(jsonSchema(name), null, 1), {
    headers: { 'content-type': 'application/schema+json; charset=utf-8' },
  });
};
