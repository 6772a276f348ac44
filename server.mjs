/**
 * Starts Yentrel: security headers on every response, limits, then Astro's handler, which serves pages,
 * files and endpoints. `PORT` (4321), `HOST` (127.0.0.1) and `DIST` (dist) change where and what.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const port = Number(process.env.PORT ?? 4321);
const host = process.env.HOST ?? '127.0.0.1';
const dist = resolve(process.env.DIST ?? 'dist');
/** What a request may bring: little, but for what is to be marked, which is counted again as it comes. */
const LARGEST_BODY = 1_000_000;
const LARGEST_TO_MARK = 100_000_000;

process.env.ASTRO_NODE_AUTOSTART = 'disabled';

function htmlFiles(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.html'))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
}

/** Hashes of every inline script or style in the built pages, for the content policy. */
function inlineHashes(pages, tag) {
  const found = new Set();
  const pattern = new RegExp(`<${tag}(?![^>]*\\ssrc=)[^>]*>([\\s\\S]*?)</${tag}>`, 'g');
  for (const page of pages) {
    for (const [, body] of page.matchAll(pattern)) {
      if (body.trim() !== '') found.add(`'sha256-${createHash('sha256').update(body).digest('base64')}'`);
    }
  }
  return [...found].join(' ');
}

const pages = htmlFiles(join(dist, 'client')).map((file) => readFileSync(file, 'utf8'));
const pagePolicy = [
  "default-src 'none'",
  `script-src 'self' ${inlineHashes(pages, 'script')}`,
  `style-src 'self' ${inlineHashes(pages, 'style')}`,
  "img-src 'self' blob: data:",
  "media-src 'self' blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self'",
  "frame-src 'self'",
  "frame-ancestors 'self'",
  "base-uri 'none'",
  "form-action 'none'",
  "object-src 'none'",
].join('; ');
const workerPolicy = "default-src 'none'; script-src 'self'; connect-src 'self'";

/** Requests that change something must come from our own pages or from no page at all. */
function isForeign(request) {
  const { origin, host: asked } = request.headers;
  if (origin === undefined || request.method === 'GET' || request.method === 'HEAD') return false;
  try {
    return new URL(origin).host !== asked;
  } catch {
    return true;
  }
}

/** Says what is wrong: to programs as problem details (RFC 9457). */
function refuse(response, status, text, path = '/') {
  const isApi = path.startsWith('/api/');
  const type = isApi ? 'application/problem+json' : 'text/plain';
  response.writeHead(status, { 'content-type': `${type}; charset=utf-8` });
  response.end(
    isApi ? JSON.stringify({ type: 'about:blank', title: text, status, detail: text }) : `${text}\n`,
  );
}

const { handler } = await import(pathToFileURL(join(dist, 'server', 'entry.mjs')).href);

const server = createServer((request, response) => {
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  const isWorker = /worker[^/]*\.js$/.test(path);
  response.setHeader('content-security-policy', isWorker ? workerPolicy : pagePolicy);
  response.setHeader('x-content-type-options', 'nosniff');
  response.setHeader('referrer-policy', 'no-referrer');
  if (!request.headers.host) return refuse(response, 400, 'A Host header is needed.');
  if (isForeign(request))
    return refuse(response, 403, 'This address takes requests from its own pages only.', path);
  const largest = path === '/api/mark' ? LARGEST_TO_MARK : LARGEST_BODY;
  if (Number(request.headers['content-length'] ?? 0) > largest) {
    return refuse(response, 413, `A request may hold at most ${largest} bytes.`, path);
  }
  // Astro serves its own not-found page under any address but that page's own.
  if (/^\/404\/?$/.test(path)) request.url = '/not-here';
  return handler(request, response);
});

server.on('error', (error) => {
  if (error.code === 'EADDRINUSE') {
    console.error(
      `Port ${port} is in use. Close what uses it, or choose another: PORT=${port + 1} npm run demo`,
    );
  } else if (error.code === 'EACCES') {
    console.error(`Port ${port} may not be used by you. Choose one above 1023: PORT=4321 npm run demo`);
  } else {
    console.error(error.message);
  }
  process.exit(1);
});

server.listen(port, host, () => {
  const shown = host === '0.0.0.0' || host === '::' ? 'localhost' : host;
  console.log(`Yentrel is ready at http://${shown}:${port}/`);
});

for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
