/** What a student's page asks a server, over HTTP. */

/** So long an answer is waited for: ms. */
const PATIENCE = 10_000;

/** The server cannot be reached, or cannot answer just now: it is tried again. */
export class Away extends Error {}

export type Ask = (act: string, body: object) => Promise<Response>;

/** Asks; fails with {@link Away} where no answer comes. The ticket stands in the body, and so in no log. */
export const askServer: Ask = async (act, body) => {
  let response: Response;
  try {
    response = await fetch(`/api/paper/${act}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      cache: 'no-store',
      signal: AbortSignal.timeout(PATIENCE),
    });
  } catch {
    throw new Away('No connection');
  }
  if (response.status === 429 || response.status >= 500) throw new Away(`${response.status}`);
  return response;
};
