import { Changed, DoorWork } from '@/core/door/schema';
import { pictureHashes } from '@/core/content/pictureHashes';
import { StoreError } from '@/device/failure';
import { newId, newToken } from '@/device/ids';
import { now } from '@/device/clock';
import { pictureBlob } from '@/store/quiz/pictures';
import {
  doorOf,
  forgetDoor,
  keepDoor,
  noteSent,
  outgoing,
  takeWork,
  unlikeTheDoors,
} from '@/store/door/doors';
import type { DoorRecord } from '@/store/records/db';
import type { Attempt } from '@/core/quiz/work/attempt';
import { head } from '@/store/quiz/quizzes';
import { cachedAttempts } from './attempts';

/** The teacher's side of a door: opened, kept up to date both ways, closed. */

/** So long an answer is waited for: ms. A whole class with its pictures takes a while on a slow line. */
const PATIENCE = 60_000;

interface Problem {
  readonly title?: string;
}

/** Why a server did not do what it was asked for. */
export type DoorTrouble = 'away' | 'gone' | 'refused';

class DoorError extends Error {
  constructor(
    readonly trouble: DoorTrouble,
    message: string,
  ) {
    super(message);
  }
}

async function ask(path: string, token: string | null, init: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api/door${path}`, {
      ...init,
      headers: {
        ...(token === null ? {} : { authorization: `Bearer ${token}` }),
        ...(init.headers as Record<string, string> | undefined),
      },
      cache: 'no-store',
      signal: AbortSignal.timeout(PATIENCE),
    });
  } catch {
    throw new DoorError('away', 'The server cannot be reached');
  }
  if (response.ok) return response;
  const problem = (await response.json().catch(() => ({}))) as Problem;
  const trouble =
    response.status === 404 ? 'gone' : response.status >= 500 || response.status === 429 ? 'away' : 'refused';
  throw new DoorError(trouble, problem.title ?? `The server answered ${response.status}`);
}

const json = (body: unknown, method: string): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

/** Pictures, sounds and films that the server does not have yet. */
async function sendMedia({ id, token }: Pick<DoorRecord, 'id' | 'token'>, shown: unknown): Promise<void> {
  const wanted = [...pictureHashes(shown)];
  if (wanted.length === 0) return;
  const there = new Set((await (await ask(`/${id}/media`, token)).json()) as string[]);
  for (const hash of wanted) {
    const blob = there.has(hash) ? null : await pictureBlob(hash);
    if (blob)
      await ask(`/${id}/media?hash=${hash}`, token, {
        method: 'PUT',
        headers: { 'content-type': blob.type },
        body: blob,
      });
  }
}

/** How a door stands, for the teacher's eyes. */
export type DoorStand =
  | { readonly state: 'none' }
  | { readonly state: 'open'; readonly openedAt: number; readonly reachedAt: number; readonly endsAt: number }
  /** The server cannot be reached; what students do is kept there and fetched later. */
  | { readonly state: 'away'; readonly openedAt: number; readonly reachedAt: number }
  /** The server has no such door any more. */
  | { readonly state: 'gone' }
  /** Another browser has changed it. */
  | { readonly state: 'otherBrowser' };

/** What a synchronisation did. */
export interface Synced {
  readonly stand: DoorStand;
  /** Papers that came or changed. */
  readonly fetched: number;
  /** Papers that moved on while the teacher changed them here: that change is undone by what came. */
  readonly moved: number;
}

const standOf = ({ openedAt, reachedAt, endsAt }: DoorRecord): DoorStand => ({
  state: 'open',
  openedAt,
  reachedAt,
  endsAt,
});

/** What was read before is kept: with every change of a class of hundreds only what changed is read and compared. */
const attemptsNow = async (quizId: string): Promise<readonly Attempt[]> => cachedAttempts(await head(quizId));

/** Opens a door on the server that this page came from. `code`: what that server asks for from another machine. Fails with its words where it refuses. */
export async function openDoor(quizId: string, code: string): Promise<Synced> {
  const known = await doorOf(quizId);
  const door = known ?? { quizId, id: newId(), token: newToken(), openedAt: now() };
  const attempts = await attemptsNow(quizId);
  const { content, tickets, firstHandInAt, hash } = await outgoing(quizId, attempts);
  const body = { id: door.id, token: door.token, code, content, tickets, attempts, firstHandInAt };
  try {
    await ask('', null, json(body, 'POST'));
  } catch (error) {
    if (error instanceof DoorError && error.trouble === 'refused')
      throw new StoreError('other', error.message);
    throw new StoreError('notLoaded', 'The server cannot be reached');
  }
  await keepDoor(door);
  await noteSent(quizId, { sent: hash });
  await sendMedia(door, [content.revisions, content.questionRevisions, content.content]);
  return syncDoor(quizId);
}

/** One at a time for each quiz: two would send the same change twice. */
const running = new Map<string, Promise<Synced>>();

/** Sends what changed here, then fetches what came there; what is not sent yet is never written over unseen. */
export function syncDoor(quizId: string, takeOver = false): Promise<Synced> {
  const before = running.get(quizId);
  if (before && !takeOver) return before;
  const made = (before ?? Promise.resolve())
    .then(
      () => sync(quizId, takeOver),
      () => sync(quizId, takeOver),
    )
    .finally(() => {
      if (running.get(quizId) === made) running.delete(quizId);
    });
  running.set(quizId, made);
  return made;
}

async function send(
  door: DoorRecord,
  takeOver: boolean,
): Promise<{ readonly moved: number } | 'otherBrowser'> {
  const { quizId, id, token } = door;
  const attempts = await attemptsNow(quizId);
  const { content, tickets, hash } = await outgoing(quizId, attempts);
  // Before the first fetch nothing is known of what lies there.
  const changed = door.seq === 0 ? [] : unlikeTheDoors(door, attempts);
  if (hash === door.sent && changed.length === 0 && !takeOver) return { moved: 0 };
  await sendMedia(door, [content.revisions, content.questionRevisions, content.content]);
  const put = async (version: number) =>
    Changed.parse(
      await (
        await ask(`/${id}/change`, token, json({ version, content, tickets, attempts: changed }, 'PUT'))
      ).json(),
    );
  let result = await put(door.version);
  if (result.state === 'otherVersion' && takeOver) result = await put(result.version);
  if (result.state === 'otherVersion') {
    // Another tab of this browser may have been faster: then there is nothing to say.
    const isOwn = (await doorOf(quizId))?.version === result.version;
    return isOwn ? { moved: 0 } : 'otherBrowser';
  }
  await noteSent(quizId, { version: result.version, sent: hash });
  return { moved: result.moved.length };
}

async function fetchWork({ quizId, id, token, seq }: DoorRecord): Promise<number> {
  const work = DoorWork.parse(await (await ask(`/${id}/work?since=${seq}`, token)).json());
  await takeWork(quizId, work);
  return work.attempts.length;
}

async function sync(quizId: string, takeOver: boolean): Promise<Synced> {
  const nothing = { fetched: 0, moved: 0 };
  const door = await doorOf(quizId);
  if (!door) return { stand: { state: 'none' }, ...nothing };
  try {
    // What came is known before a key goes out that would change its scores; only what was changed here goes first.
    const isChanged = door.seq > 0 && unlikeTheDoors(door, await attemptsNow(quizId)).length > 0;
    const first = isChanged ? 0 : await fetchWork(door);
    const sent = await send((await doorOf(quizId)) ?? door, takeOver);
    const fetched = first + (await fetchWork((await doorOf(quizId)) ?? door));
    if (sent === 'otherBrowser') return { stand: { state: 'otherBrowser' }, fetched, moved: 0 };
    const now_ = await doorOf(quizId);
    return { stand: now_ ? standOf(now_) : { state: 'none' }, fetched, moved: sent.moved };
  } catch (error) {
    if (!(error instanceof DoorError)) throw error;
    if (error.trouble === 'gone') return { stand: { state: 'gone' }, ...nothing };
    const { openedAt, reachedAt } = door;
    return { stand: { state: 'away', openedAt, reachedAt }, ...nothing };
  }
}

/** Fetches what is left, then takes the door away with everything behind it. Fails where the server cannot be reached: then it stays. */
export async function closeDoor(quizId: string): Promise<void> {
  const door = await doorOf(quizId);
  if (!door) return;
  const { stand } = await syncDoor(quizId);
  if (stand.state === 'away') throw new StoreError('notLoaded', 'The server cannot be reached');
  if (stand.state !== 'gone') {
    try {
      await ask(`/${door.id}/all`, door.token, { method: 'DELETE' });
    } catch (error) {
      if (!(error instanceof DoorError) || error.trouble !== 'gone')
        throw new StoreError('notLoaded', 'The server cannot be reached');
    }
  }
  await forgetDoor(quizId);
}

/** Whose paper a receipt is of, as the server has it now; null: of none behind this door. */
export async function checkReceipt(
  quizId: string,
  code: string,
): Promise<{ readonly studentId: string; readonly handedInAt: number } | null> {
  const door = await doorOf(quizId);
  if (!door) return null;
  try {
    return (await (await ask(`/${door.id}/receipt?code=${encodeURIComponent(code)}`, door.token)).json()) as {
      studentId: string;
      handedInAt: number;
    } | null;
  } catch {
    throw new StoreError('notLoaded', 'The server cannot be reached');
  }
}
