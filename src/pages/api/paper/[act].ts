import type { APIRoute } from 'astro';
import { answer, notHere } from '@/server/door/answer';
import { isStudentAct } from '@/server/door/desk';

export const prerender = false;

/** What a student's page asks: see `docs/door.md`. The ticket stands in the body, so that no log holds it. */
export const POST: APIRoute = (context) => {
  const act = context.params['act'] ?? '';
  return isStudentAct(act)
    ? answer(context, (desk, caller) => desk.student(act, context.request, caller))
    : notHere();
};

export const ALL: APIRoute = notHere;
