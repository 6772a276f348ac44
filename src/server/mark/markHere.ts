import { quizJson, scoresCsv, studentJson } from '@/core/formats/markedFile';
import { ListMissing, wordList } from '@/core/answers/text/words/wordLists';
import type { Paper } from '@/core/quiz/quiz';
import { listsFor } from '@/core/scoring/context';
import { formInput, jsonInput, type MarkRequest } from './input';
import { problemResponse, refuse, Refused } from './problem';
import { readListsFrom } from '../wordLists';

/** Where the server keeps its word lists; while the application is being developed, where they are made. */
readListsFrom(process.env['WORD_LISTS'] ?? 'public/words');

/** After so many seconds a list that is not there may have been made. */
const LIST_MAY_COME = 30;

async function input(request: Request, at: number): Promise<MarkRequest> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
  if (type === 'application/json') return jsonInput(request, at);
  if (type === 'multipart/form-data') return formInput(request, at);
  return refuse(415, 'A body is needed as application/json or multipart/form-data.');
}

/** JSON, or CSV where the request would rather have that. */
function wanted(request: Request): 'json' | 'csv' {
  const accept = request.headers.get('accept') ?? '*/*';
  const types = accept.split(',').map((one) => one.split(';')[0]?.trim().toLowerCase());
  const first = types.find((type) =>
    ['application/json', 'text/csv', '*/*', 'application/*', 'text/*'].includes(type ?? ''),
  );
  if (first === undefined) return refuse(406, 'Scores are available as application/json or text/csv.');
  return first.startsWith('text/') ? 'csv' : 'json';
}

/** The answer in pieces, one for each student, so that it never lies in memory as a whole. */
function* pieces({ work, traces, problems }: MarkRequest): Generator<string> {
  const { marked, named } = work;
  yield `{"quiz":${JSON.stringify(quizJson(marked.paper))},"problems":${JSON.stringify(problems)},"students":[`;
  let separator = '\n';
  for (const student of marked.eachStudent()) {
    yield separator + studentJson(student, named.get(student.studentId), marked.paper, traces);
    separator = ',\n';
  }
  yield '\n]}\n';
}

/** Several small pieces are sent together. */
const SENT_TOGETHER = 64_000;

function streamed(parts: Generator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    pull(controller) {
      let text = '';
      while (text.length < SENT_TOGETHER) {
        const { value, done } = parts.next();
        if (done) {
          if (text) controller.enqueue(encoder.encode(text));
          controller.close();
          return;
        }
        text += value;
      }
      controller.enqueue(encoder.encode(text));
    },
  });
}

/** Refuses what would be marked by a word list that is not here: what has begun to be sent can be refused no more. */
function listsThere(paper: Paper): void {
  for (const list of listsFor(paper))
    try {
      wordList(list);
    } catch (error) {
      if (!(error instanceof ListMissing)) throw error;
      throw new Refused({
        status: 503,
        title: `The word list ${list} is not there yet.`,
        problems: [
          `The quiz has questions that are marked by the word list ${list}, which this server does not have yet. Try again in a minute; if it stays so, run npm run build.`,
        ],
        retryAfter: LIST_MAY_COME,
      });
    }
}

async function answer(request: Request, at: number): Promise<Response> {
  const as = wanted(request);
  const asked = await input(request, at);
  listsThere(asked.work.marked.paper);
  const headers = { 'cache-control': 'no-store', 'x-content-type-options': 'nosniff' };
  if (as === 'json') {
    const type = { 'content-type': 'application/json; charset=utf-8' };
    return new Response(streamed(pieces(asked)), { headers: { ...headers, ...type } });
  }
  const type = { 'content-type': 'text/csv; charset=utf-8' };
  return new Response(scoresCsv(asked.work), { headers: { ...headers, ...type } });
}

/**
 * Marks what a request brings, in this thread, by the same functions as the application: see `docs/marking-api.md`. `at` is
 * the instant at which it is judged, ms since 1970. Never throws for what is in the request.
 */
export async function markHere(request: Request, at: number): Promise<Response> {
  try {
    return await answer(request, at);
  } catch (error) {
    if (error instanceof Refused) return problemResponse(error.problem);
    console.error(error);
    return problemResponse({ status: 500, title: 'Something went wrong while marking.', problems: [] });
  }
}
