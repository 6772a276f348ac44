/** What went wrong with a request, as RFC 9457 (problem details for HTTP) writes it. */
export interface Problem {
  readonly status: number;
  readonly title: string;
  /** Each with its place in the input. */
  readonly problems: readonly string[];
  readonly retryAfter?: number;
}

export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** Ends the work on a request with a problem. */
export function refuse(status: number, title: string, problems: readonly string[] = []): never {
  throw new Refused({ status, title, problems });
}

export function problemResponse({ status, title, problems, retryAfter }: Problem): Response {
  const detail = problems[0] ?? title;
  return new Response(JSON.stringify({ type: 'about:blank', title, status, detail, problems }), {
    status,
    headers: {
      'content-type': 'application/problem+json; charset=utf-8',
      ...(retryAfter === undefined ? {} : { 'retry-after': String(retryAfter) }),
    },
  });
}
