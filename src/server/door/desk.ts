import { z } from '@/core/zod';
import { ChangeDoor, OpenDoor, OwnPage } from '@/core/door/schema';
import { DoorToken } from '@/core/quiz/door';
import { Id } from '@/core/content/questionBase';
import { readTicket } from '@/core/quiz/people/ticket';
import type { PaperAddress } from '@/core/sitting/port';
import { serveStudents } from '@/core/sitting/serve';
import { bodyOf, type BodyLimits } from '../mark/body';
import { problemResponse, refuse, Refused } from '../mark/problem';
import type { Doors, OpenedDoor } from './doors';
import { doorStore } from './doorStore';
import { receiptOf, type Packets } from './packets';
import { guesses, type Guesses } from './guesses';
import type { Secret } from './secret';

/** What students and teachers ask of doors over HTTP. Every answer is JSON, or a problem document; nothing of a request is logged. */

/** Largest bodies: what a student sends, what a teacher sends, and a picture or sound. */
const STUDENTS = 300_000;
const TEACHERS = 60_000_000;
const MEDIA = 20_000_000;

/** A number that no door reaches. */
const LAST = 2_000_000_000;

export interface DeskParts {
  readonly doors: Doors;
  readonly secret: Secret;
  /** Makes what students are shown. */
  readonly packets: Packets;
  /** What is asked of whoever makes a door from another machine; empty: nobody does. */
  readonly doorCode: string;
}

/** Who asks. */
export interface Caller {
  readonly address: string;
  /** True for a request from this machine that no proxy has passed on. */
  readonly isLocal: boolean;
}

const limits = (largest: number, held: BodyLimits['held']): BodyLimits => ({
  largest,
  held,
  idle: 10_000,
  whole: 60_000,
});

const asJson = (value: unknown, status = 200): Response =>
  Response.json(value, { status, headers: { 'cache-control': 'no-store' } });

const Ticket = z.string().max(80);
const At = z.strictObject({ ticket: Ticket, quizId: Id });
const ASKED = {
  list: z.strictObject({ ticket: Ticket }),
  open: At.extend({ attempt: z.number().int().min(1).max(1000).optional() }),
  begin: At,
  save: At.extend({ sent: z.unknown() }),
  hint: At.extend({ asked: z.unknown() }),
  turn: At.extend({ attemptId: Id, page: z.number() }),
  sign: At.extend({ attemptId: Id }),
  handIn: At.extend({ attemptId: Id }),
  picture: At.extend({ hash: z.string().regex(/^[0-9a-f]{64}$/) }),
} as const;
export type StudentAct = keyof typeof ASKED;
export const isStudentAct = (name: string): name is StudentAct => Object.hasOwn(ASKED, name);

const problemsOf = (error: z.ZodError): string[] =>
  error.issues.slice(0, 5).map(({ path, message }) => `${path.join('.') || 'the body'}: ${message}`);

/** JSON out of a body, as a schema has it. */
function read<Value>(schema: z.ZodType<Value>, bytes: Uint8Array): Value {
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return refuse(400, 'The body is not JSON.');
  }
  const result = schema.safeParse(value);
  return result.success ? result.data : refuse(422, 'The request cannot be read.', problemsOf(result.error));
}

export class DoorDesk {
  readonly #doors: Doors;
  readonly #secret: Secret;
  readonly #packets: Packets;
  readonly #doorCode: string;
  readonly #guesses: Guesses;
  readonly #held = { now: 0, most: 200_000_000 };

  constructor({ doors, secret, packets, doorCode }: DeskParts) {
    this.#doors = doors;
    this.#secret = secret;
    this.#packets = packets;
    this.#doorCode = doorCode;
    this.#guesses = guesses(() => doors.now());
  }

  /** Answers whatever becomes of it; never throws. */
  async #answered(work: () => Promise<Response>): Promise<Response> {
    try {
      return await work();
    } catch (error) {
      if (error instanceof Refused) return problemResponse(error.problem);
      console.error(
        error instanceof Error ? `${error.name}: ${error.message.split('\n')[0] ?? ''}` : 'A door failed',
      );
      return problemResponse({
        status: 503,
        title:
          'The server cannot store or read anything just now. Nothing that was said to be safe is lost. Try again.',
        problems: [],
        retryAfter: 3,
      });
    }
  }

  #mayTry({ address }: Caller): void {
    const wait = this.#guesses.wait(address);
    if (wait > 0)
      throw new Refused({
        status: 429,
        title: 'Too many wrong tickets came from here. Wait a moment.',
        problems: [],
        retryAfter: Math.ceil(wait / 1000),
      });
  }

  async #body<One>(
    request: Request,
    largest: number,
    work: (bytes: Uint8Array) => Promise<One>,
  ): Promise<One> {
    const body = await bodyOf(request, limits(largest, this.#held));
    try {
      return await work(body.bytes);
    } finally {
      body.free();
    }
  }

  /** The doors that a ticket opens; one that is nobody's costs time. */
  async #behind(ticket: string, caller: Caller) {
    this.#mayTry(caller);
    const readCode = readTicket(ticket);
    const code = 'code' in readCode ? readCode.code : ticket;
    const found = await this.#doors.byTicket(code);
    if (found.length === 0) this.#guesses.wrong(caller.address);
    return found;
  }

  /** One thing that a student's page asks. */
  student(act: StudentAct, request: Request, caller: Caller): Promise<Response> {
    return this.#answered(() =>
      this.#body(request, STUDENTS, async (bytes) => {
        const asked = read<z.infer<(typeof ASKED)[StudentAct]>>(ASKED[act], bytes);
        const found = await this.#behind(asked.ticket, caller);
        if (act === 'list') return this.#list(found);
        const quizId = 'quizId' in asked ? asked.quizId : '';
        const here = found.find(({ door }) => door.content.quizId === quizId);
        if (!here) return asJson({ state: 'unknown' });
        return this.#asked(act, asked as Record<string, unknown>, here.door, here.studentId);
      }),
    );
  }

  async #list(
    found: readonly { readonly door: OpenedDoor; readonly studentId: string }[],
  ): Promise<Response> {
    const [first] = found;
    if (!first) return asJson(null);
    const student = first.door.content.people.find(({ id }) => id === first.studentId)?.name ?? '';
    const rows = await Promise.all(
      found.map(({ door, studentId }) => this.#packets.row({ doorId: door.row.id, studentId })),
    );
    return asJson(OwnPage.parse({ student, quizzes: rows.filter((row) => row !== null) }));
  }

  /** One student's paper; who sees the first page has seen it from now on. */
  async #paper({ row }: OpenedDoor, studentId: string, attempt?: number): Promise<Response> {
    const { state, json } = await this.#packets.paper({ doorId: row.id, studentId, attempt });
    if (state === 'ready') await this.#doors.look(row.id, studentId);
    return new Response(json, {
      headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
    });
  }

  async #asked(
    act: Exclude<StudentAct, 'list'>,
    asked: Record<string, unknown>,
    door: OpenedDoor,
    studentId: string,
  ): Promise<Response> {
    const store = doorStore(this.#doors, door, studentId);
    const port = serveStudents(store);
    const at: PaperAddress = { quizId: door.content.quizId, ticket: '' };
    const attemptId = String(asked['attemptId'] ?? '');
    switch (act) {
      case 'open':
        return this.#paper(door, studentId, asked['attempt'] as number | undefined);
      case 'begin':
        await store.begin(at);
        return this.#paper(door, studentId);
      case 'save':
        return asJson(await port.saveAnswer(at, asked['sent'] as never));
      case 'hint':
        return asJson(await port.askHint(at, asked['asked'] as never));
      case 'turn':
        return asJson(await port.turnTo(at, attemptId, asked['page'] as number));
      case 'sign':
        return asJson(await port.giveSign(at, attemptId));
      case 'handIn':
        return asJson(await port.handIn(at, attemptId));
      case 'picture': {
        const blob = await port.picture(at, String(asked['hash']));
        if (!blob) return refuse(404, 'There is no such picture in this paper.');
        return new Response(blob, {
          headers: { 'content-type': blob.type, 'cache-control': 'private, max-age=3600' },
        });
      }
    }
  }

  /** Whose paper a receipt is of; null for none of this door as it stands now. */
  receipt(request: Request, caller: Caller, doorId: string, code: string): Promise<Response> {
    return this.#answered(async () => {
      const door = await this.#own(request, caller, doorId);
      const read = readTicket(code);
      const all = await this.#doors.everyAttempt(door.row.id);
      const found =
        'code' in read &&
        all.find((one) => one.handedInAt !== null && receiptOf(this.#secret, one) === read.code);
      return asJson(
        found ? { studentId: found.studentId, attemptId: found.id, handedInAt: found.handedInAt } : null,
      );
    });
  }

  #tokenOf(request: Request): string {
    const token = /^Bearer ([0-9a-f]{64})$/.exec(request.headers.get('authorization') ?? '')?.[1];
    return token && DoorToken.safeParse(token).success
      ? token
      : refuse(401, 'The token of the door is needed.');
  }

  async #own(request: Request, caller: Caller, doorId: string): Promise<OpenedDoor> {
    this.#mayTry(caller);
    const door = await this.#doors.byToken(doorId, this.#tokenOf(request));
    if (door) return door;
    this.#guesses.wrong(caller.address);
    return refuse(404, 'There is no such door here, or not any more.');
  }

  /** Why a door cannot be made from where somebody asks; null where it can. */
  mayOpen({ isLocal }: Caller, code: string): string | null {
    if (this.#doorCode !== '')
      return this.#secret.hidden('token', code) === this.#secret.hidden('token', this.#doorCode)
        ? null
        : 'The door code is not right. Whoever runs this server knows it.';
    return isLocal
      ? null
      : 'This server makes no doors for other machines, as it was started without DOOR_CODE. Open Yentrel on the server’s own machine, or ask whoever runs it.';
  }

  /** Opens a door. */
  open(request: Request, caller: Caller): Promise<Response> {
    return this.#answered(() =>
      this.#body(request, TEACHERS, async (bytes) => {
        this.#mayTry(caller);
        const asked = read(OpenDoor, bytes);
        const why = this.mayOpen(caller, asked.code);
        if (why !== null) {
          this.#guesses.wrong(caller.address);
          return refuse(403, why);
        }
        await this.#doors.sweep();
        if (!(await this.#doors.open(asked))) return refuse(409, 'There is another door of this name.');
        const door = await this.#doors.byToken(asked.id, asked.token);
        return door
          ? asJson(await this.#doors.work(door, LAST))
          : refuse(503, 'The door could not be opened.');
      }),
    );
  }

  /** Takes what the teacher changed. */
  change(request: Request, caller: Caller, doorId: string): Promise<Response> {
    return this.#answered(async () => {
      await this.#own(request, caller, doorId);
      return this.#body(request, TEACHERS, async (bytes) =>
        asJson(await this.#doors.takeChange(doorId, read(ChangeDoor, bytes))),
      );
    });
  }

  /** What came since a number. */
  work(request: Request, caller: Caller, doorId: string, since: number): Promise<Response> {
    return this.#answered(async () =>
      asJson(await this.#doors.work(await this.#own(request, caller, doorId), since)),
    );
  }

  /** Keeps a picture, sound or film; `hash` is that of its bytes. */
  media(request: Request, caller: Caller, doorId: string, hash: string): Promise<Response> {
    return this.#answered(async () => {
      await this.#own(request, caller, doorId);
      if (request.method === 'GET') return asJson(await this.#doors.mediaOf(doorId));
      const type = request.headers.get('content-type') ?? '';
      if (!/^(image\/(png|jpeg|gif|webp)|audio\/[\w.+-]+|video\/[\w.+-]+)$/.test(type))
        return refuse(415, 'A picture, a sound or a film is needed.');
      return this.#body(request, MEDIA, async (bytes) => {
        const { createHash } = await import('node:crypto');
        if (createHash('sha256').update(bytes).digest('hex') !== hash)
          return refuse(422, 'The bytes are not those that were announced.');
        await this.#doors.putMedia(doorId, hash, type, Buffer.from(bytes));
        return asJson(true);
      });
    });
  }

  /** Takes a door away with everything behind it. */
  close(request: Request, caller: Caller, doorId: string): Promise<Response> {
    return this.#answered(async () => {
      await this.#own(request, caller, doorId);
      await this.#doors.close(doorId);
      return asJson(true);
    });
  }

  /** Says when something has come: server-sent events (WHATWG HTML), one with the newest number whenever it grows. */
  events(request: Request, caller: Caller, doorId: string): Promise<Response> {
    return this.#answered(async () => {
      const door = await this.#own(request, caller, doorId);
      return new Response(this.#ticks(door.row.id, request.signal), {
        headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store' },
      });
    });
  }

  #ticks(doorId: string, signal: AbortSignal): ReadableStream<Uint8Array> {
    const encoder = new TextEncoder();
    let timer: NodeJS.Timeout | undefined;
    let last = '';
    let silent = 0;
    return new ReadableStream({
      start: (controller) => {
        const end = () => {
          clearTimeout(timer);
          try {
            controller.close();
          } catch {
            // It was closed already.
          }
        };
        signal.addEventListener('abort', end);
        const look = async () => {
          const numbers = await this.#doors.numbers(doorId).catch(() => undefined);
          if (signal.aborted) return;
          if (numbers === null) return end();
          const text = numbers ? JSON.stringify(numbers) : last;
          silent = text === last ? silent + 1 : 0;
          // A line now and then keeps what stands between from closing the connection.
          if (text !== last) controller.enqueue(encoder.encode(`data: ${text}\n\n`));
          else if (silent % 20 === 19) controller.enqueue(encoder.encode(': \n\n'));
          last = text;
          timer = setTimeout(() => void look().catch(end), 1000);
        };
        look().catch(end);
      },
      cancel: () => clearTimeout(timer),
    });
  }
}
