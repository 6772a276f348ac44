/**
 * `npm run bench:door`: a door under load, and under the axe. By default 2 000 made-up students begin within one minute, save an
 * answer every 3 seconds and hand in within one minute; then a small class sits while the server is killed 100 times
 * (`kill -9`). On a file of its own, and on PostgreSQL where `DATABASE_URL` names one. Needs a build. `STUDENTS`, `KILLS` and
 * `SECONDS` (of saving) make it smaller.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DoorWork } from '@/core/door/schema';
import { canonical } from '@/core/figures/deepEqual';
import { doorFor, membersOf, QUIZ_ID, TOKEN, type ClassMember } from './doorClass';

const STUDENTS = Number(process.env['STUDENTS'] ?? 2000);
const KILLS = Number(process.env['KILLS'] ?? 100);
const SECONDS = Number(process.env['SECONDS'] ?? 60);
const DIST = process.env['DIST'] ?? 'dist';
const BETWEEN_SAVES = 3000;

const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
const agent = new Agent({ keepAlive: true, maxSockets: 256 });

interface Server {
  readonly port: number;
  start(): Promise<void>;
  kill(): Promise<void>;
}

function serverOn(folder: string, url: string | undefined, port: number): Server {
  let child: ChildProcess | null = null;
  return {
    port,
    async start() {
      child = spawn(process.execPath, ['server.mjs'], {
        env: { ...process.env, DIST, DATA: folder, DATABASE_URL: url ?? '', PORT: String(port) },
        stdio: ['ignore', 'ignore', 'inherit'],
      });
      for (let left = 200; left > 0; left--) {
        const there = await fetch(`http://127.0.0.1:${port}/api/about`).catch(() => null);
        if (there?.ok) return;
        await wait(50);
      }
      throw new Error('The server does not start');
    },
    async kill() {
      const gone = new Promise<void>((resolve) => child?.once('exit', () => resolve()));
      child?.kill('SIGKILL');
      await gone;
    },
  };
}

/** One request; null where none was answered. */
function ask<One>(port: number, path: string, body: unknown, method = 'POST'): Promise<One | null> {
  const text = body === undefined ? '' : JSON.stringify(body);
  return new Promise((resolve) => {
    const sent = httpRequest(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        agent,
        headers: {
          'content-type': 'application/json',
          'content-length': Buffer.byteLength(text),
          authorization: `Bearer ${TOKEN}`,
        },
      },
      (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('error', () => resolve(null));
        response.on('end', () => {
          if (response.statusCode !== 200) return resolve(null);
          resolve(JSON.parse(Buffer.concat(chunks).toString('utf8')) as One);
        });
      },
    );
    sent.on('error', () => resolve(null));
    sent.end(text);
  });
}

/** Until it is answered, as a student's page does. */
async function asked<One>(port: number, path: string, body: unknown): Promise<One> {
  for (;;) {
    const answer = await ask<One>(port, path, body);
    if (answer !== null) return answer;
    await wait(100 + Math.random() * 200);
  }
}

interface Sat {
  readonly member: ClassMember;
  attemptId: string;
  /** What the server said to be safe. */
  readonly safe: Map<string, unknown>;
}

let number = 0;
/** How long each save took that was answered: ms. */
const took: number[] = [];

async function begin(port: number, sat: Sat): Promise<void> {
  const at = { ticket: sat.member.ticket, quizId: QUIZ_ID };
  const packet = await asked<{ working?: { attemptId: string } }>(port, '/api/paper/begin', at);
  sat.attemptId = packet.working?.attemptId ?? '';
}

async function save(port: number, sat: Sat, which: number, untilDone: boolean): Promise<void> {
  const [questionId, answer] = sat.member.answers[which % sat.member.answers.length] ?? ['', null];
  const sent = { attemptId: sat.attemptId, questionId, answer, page: 'bench', number: ++number };
  const body = { ticket: sat.member.ticket, quizId: QUIZ_ID, sent };
  const began = performance.now();
  const path = '/api/paper/save';
  const receipt = untilDone
    ? await asked<{ state: string }>(port, path, body)
    : await ask<{ state: string }>(port, path, body);
  took.push(performance.now() - began);
  if (receipt?.state === 'kept') sat.safe.set(questionId, answer);
}

const handIn = (port: number, { member, attemptId }: Sat) =>
  asked<{ state: string }>(port, '/api/paper/handIn', { ticket: member.ticket, quizId: QUIZ_ID, attemptId });

const at95 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0;

/** What of the work is not there as it was said to be, and what is there twice. */
async function wrongIn(port: number, all: readonly Sat[], handedIn: boolean) {
  const work = await ask<DoorWork>(port, '/api/door/benchdoor001/work?since=0', undefined, 'GET');
  const byStudent = new Map<string, DoorWork['attempts']>();
  for (const attempt of work?.attempts ?? [])
    byStudent.set(attempt.studentId, [...(byStudent.get(attempt.studentId) ?? []), attempt]);
  let lost = 0;
  let twice = 0;
  let open = 0;
  for (const { member, safe } of all) {
    const own = byStudent.get(member.studentId) ?? [];
    if (own.length > 1) twice++;
    const answers = new Map(Object.entries(own[0]?.answers ?? {}));
    for (const [id, answer] of safe) if (canonical(answers.get(id)) !== canonical(answer)) lost++;
    if (handedIn && own[0]?.handedInAt === null) open++;
  }
  return { lost, twice, open };
}

const door = (members: readonly ClassMember[]) => doorFor(members);
const sats = (members: readonly ClassMember[]): Sat[] =>
  members.map((member) => ({ member, attemptId: '', safe: new Map() }));

async function load(name: string, server: Server) {
  const members = membersOf(STUDENTS);
  await server.start();
  if ((await ask(server.port, '/api/door', door(members))) === null)
    throw new Error('The door does not open');
  const all = sats(members);
  const minute = Math.min(60_000, SECONDS * 1000);
  took.length = 0;
  await Promise.all(
    all.map(async (sat) => {
      await wait(Math.random() * minute);
      await begin(server.port, sat);
      const until = performance.now() + SECONDS * 1000;
      for (let which = 0; performance.now() < until; which++) {
        const began = performance.now();
        await save(server.port, sat, which, true);
        await wait(Math.max(0, BETWEEN_SAVES - (performance.now() - began)));
      }
      await wait(Math.random() * minute);
      await handIn(server.port, sat);
    }),
  );
  const wrong = await wrongIn(server.port, all, true);
  await ask(server.port, '/api/door/benchdoor001/all', undefined, 'DELETE');
  await server.kill();
  return {
    database: name,
    students: STUDENTS,
    saves: took.length,
    'median ms': Math.round([...took].sort((a, b) => a - b)[took.length >> 1] ?? 0),
    '95 % within ms': Math.round(at95(took)),
    ...wrong,
  };
}

async function kills(name: string, server: Server) {
  const members = membersOf(20);
  await server.start();
  await ask(server.port, '/api/door', door(members));
  const all = sats(members);
  let running = true;
  const sitting = all.map(async (sat, turn) => {
    await begin(server.port, sat);
    for (let which = turn; running; which++) {
      await save(server.port, sat, which, false);
      await wait(5);
    }
    await handIn(server.port, sat);
  });
  for (let at = 0; at < KILLS; at++) {
    await wait(300 + Math.random() * 600);
    await server.kill();
    await server.start();
  }
  running = false;
  await Promise.all(sitting);
  const wrong = await wrongIn(server.port, all, true);
  await ask(server.port, '/api/door/benchdoor001/all', undefined, 'DELETE');
  await server.kill();
  const safe = all.reduce((sum, one) => sum + one.safe.size, 0);
  return { database: name, kills: KILLS, 'answers said to be safe': safe, ...wrong };
}

const databases: [name: string, url: string | undefined][] = [['a file', undefined]];
if (process.env['DATABASE_URL']) databases.push(['PostgreSQL', process.env['DATABASE_URL']]);
else console.log('PostgreSQL is left out: DATABASE_URL names none.');

const loads: object[] = [];
const axes: object[] = [];
for (const [name, url] of databases) {
  const folder = mkdtempSync(join(tmpdir(), 'yentrel-bench-'));
  try {
    const port = 20_000 + Math.floor(Math.random() * 20_000);
    if (STUDENTS > 0) loads.push(await load(name, serverOn(folder, url, port)));
    if (KILLS > 0) axes.push(await kills(name, serverOn(folder, url, port + 1)));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
if (loads.length > 0) console.table(loads);
if (axes.length > 0) console.table(axes);
agent.destroy();
