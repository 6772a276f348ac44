/**
 * Starts Yentrel: security headers on every response, limits, compressed files, then Astro's handler, which serves
 * pages, files and endpoints. `PORT` (4321), `HOST` (127.0.0.1) and `DIST` (dist) change where and what;
 * `ALLOWED_HOSTS` names the hosts that it answers for besides this machine's own (comma-separated); `TLS_CERT` and `TLS_KEY`
 * are files for https. What doors need: see `docs/door.md`.
 */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import { extname, join, relative, resolve, sep } from 'node:path';
import { pathToFileURL } from 'node:url';
import { makeMissing } from './scripts/words/make.mjs';

const port = Number(process.env.PORT ?? 4321);
const host = process.env.HOST ?? '127.0.0.1';
const dist = resolve(process.env.DIST ?? 'dist');
/** What a request may bring: little, but for what is to be marked, which is counted again as it comes. */
const LARGEST_BODY = 1_000_000;
const LARGEST_TO_MARK = 100_000_000;
const LARGEST_TO_DOOR = 60_000_000;

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
process.env.WORD_LISTS = join(dist, 'client', 'words');
process.env.MARK_THREAD = join(dist, 'server', 'markThread.mjs');
process.env.PACKET_THREAD = join(dist, 'server', 'packetThread.mjs');

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

/** Names under which this machine is reached: loopback, its own addresses, and those that were allowed. */
function allowedHosts() {
  const own = Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).map(({ address }) => address),
  );
  const named = (process.env.ALLOWED_HOSTS ?? '').split(',').map((name) => name.trim().toLowerCase());
  return new Set([
    'localhost',
    '127.0.0.1',
    '::1',
    hostname().toLowerCase(),
    ...own,
    ...named.filter(Boolean),
  ]);
}
const hosts = allowedHosts();

/** The name in a Host header, without its port; null for one that is not a host at all. */
function hostOf(header) {
  try {
    return new URL(`http://${header}`).hostname.replace(/^\[|\]$/g, '').toLowerCase();
  } catch {
    return null;
  }
}

/** Another name may be a page elsewhere that points its own name here, to read along. */
const isKnownHost = (header) => {
  const name = hostOf(header);
  return name !== null && hosts.has(name);
};

const ENCODINGS = [
  ['br', '.br'],
  ['gzip', '.gz'],
];
const TYPES = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.json': 'application/json; charset=utf-8',
  '.txt': 'text/plain; charset=utf-8',
};

/** Files that were compressed at build, by their path: bytes are read once and kept, as they never change. */
function compressedFiles(folder) {
  const files = new Map();
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true })) {
    if (!entry.isFile() || !entry.name.endsWith('.br')) continue;
    const file = join(entry.parentPath ?? entry.path, entry.name).slice(0, -3);
    const type = TYPES[extname(file)];
    if (!type) continue;
    const path = `/${relative(folder, file).split(sep).join('/')}`;
    const bytes = Object.fromEntries(ENCODINGS.map(([name, end]) => [name, readFileSync(`${file}${end}`)]));
    const tag = `"${createHash('sha256').update(bytes.br).digest('base64url').slice(0, 22)}"`;
    files.set(path, { type, bytes, tag });
    if (path.endsWith('/index.html')) files.set(path.slice(0, -'index.html'.length), { type, bytes, tag });
  }
  return files;
}
const compressed = compressedFiles(join(dist, 'client'));
/** Names hold a hash of what is in them: such a file can be kept for ever. */
const FOREVER = 'public, max-age=31536000, immutable';

/** Sends a file in the smaller form that the browser takes; false where there is none. */
function sendCompressed(request, response, path) {
  if (request.method !== 'GET' && request.method !== 'HEAD') return false;
  const file = compressed.get(path);
  if (!file) return false;
  const taken = String(request.headers['accept-encoding'] ?? '');
  const encoding = ENCODINGS.find(([name]) =>
    new RegExp(`\\b${name}\\b(?!\\s*;\\s*q=0(?:\\.0*)?\\s*(?:,|$))`).test(taken),
  )?.[0];
  if (!encoding) return false;
  const tag = file.tag.replace(/"$/, `-${encoding}"`);
  const headers = {
    'content-type': file.type,
    'content-encoding': encoding,
    vary: 'Accept-Encoding',
    etag: tag,
    'cache-control': path.startsWith('/_astro/') ? FOREVER : 'no-cache',
  };
  if (request.headers['if-none-match'] === tag) {
    response.writeHead(304, headers);
    response.end();
    return true;
  }
  response.writeHead(200, { ...headers, 'content-length': file.bytes[encoding].length });
  response.end(request.method === 'HEAD' ? undefined : file.bytes[encoding]);
  return true;
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

const lists = makeMissing(process.env.WORD_LISTS, (text) => console.log(text));

/** A list never changes under its name: it can be kept for ever. Where it is not there, that is said, and kept by nobody. */
function isListThere(path, response) {
  const list = /^\/words\/([a-z]{2}-\d+)\.bin$/.exec(path)?.[1];
  if (list && existsSync(join(process.env.WORD_LISTS, `${list}.bin`))) {
    response.setHeader('cache-control', FOREVER);
    return true;
  }
  response.setHeader('cache-control', 'no-store');
  if (list && lists.isComing(list)) {
    response.setHeader('retry-after', '10');
    refuse(response, 503, `The word list ${list} is being made.`, path);
  } else refuse(response, 404, 'There is no such word list here.', path);
  return false;
}

const { handler } = await import(pathToFileURL(join(dist, 'server', 'entry.mjs')).href);

/** What is not there may come: nobody keeps that it was not, whatever the address would be kept for. */
function keepsNoMissing(response) {
  const { writeHead } = response;
  response.writeHead = (status, ...rest) => {
    const headers = rest.findLast((one) => typeof one === 'object' && one !== null);
    if (status === 404) {
      for (const name of Object.keys(headers ?? {}))
        if (name.toLowerCase() === 'cache-control') delete headers[name];
      response.setHeader('cache-control', 'no-store');
    }
    return writeHead.call(response, status, ...rest);
  };
}

/** Over https where a certificate is given. */
const tls =
  process.env.TLS_CERT && process.env.TLS_KEY
    ? { cert: readFileSync(process.env.TLS_CERT), key: readFileSync(process.env.TLS_KEY) }
    : null;
const listen = (answer) => (tls ? createSecureServer(tls, answer) : createServer(answer));

const server = listen((request, response) => {
  keepsNoMissing(response);
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  const isWorker = /worker[^/]*\.js$/.test(path);
  response.setHeader('content-security-policy', isWorker ? workerPolicy : pagePolicy);
  response.setHeader('x-content-type-options', 'nosniff');
  response.setHeader('referrer-policy', 'no-referrer');
  if (!request.headers.host) return refuse(response, 400, 'A Host header is needed.');
  if (!isKnownHost(request.headers.host)) {
    const text = `This server does not answer for “${String(hostOf(request.headers.host) ?? '').slice(0, 100)}”. If it should, start it with ALLOWED_HOSTS=that name.`;
    return refuse(response, 421, text, path);
  }
  if (isForeign(request))
    return refuse(response, 403, 'This address takes requests from its own pages only.', path);
  const largest =
    path === '/api/mark' ? LARGEST_TO_MARK : path.startsWith('/api/door') ? LARGEST_TO_DOOR : LARGEST_BODY;
  if (Number(request.headers['content-length'] ?? 0) > largest) {
    return refuse(response, 413, `A request may hold at most ${largest} bytes.`, path);
  }
  if (/^\/words\/.*\.bin$/.test(path) && !isListThere(path, response)) return undefined;
  if (sendCompressed(request, response, path)) return undefined;
  // Astro serves its own not-found page under any address but that page's own.
  if (/^\/404\/?$/.test(path)) request.url = '/not-here';
  return handler(request, response);
});

/** A request that has not come whole after so long is given up: milliseconds. */
server.requestTimeout = 150_000;
server.headersTimeout = 20_000;

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
  console.log(`Yentrel is ready at ${tls ? 'https' : 'http'}://${shown}:${port}/`);
  lists.start();
});

for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
