import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { doorOf } from '@/store/door/doors';
import { DoorContext } from '@/ui/teacher/door';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { failureWords } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';
import type { DoorStand } from '@/workers/classDesk';

/** After a change so long is waited for the next one before it is sent: ms. */
const SETTLED = 800;
/** So often is looked, whatever is told: ms. What changes besides the quiz, such as a ticket, goes out by it. */
const LOOK = 15_000;
/** A stream that ended is opened again after so long: ms. */
const AGAIN = 5000;

/** Reads server-sent events until the stream ends; calls back for each that says something. */
async function readEvents(
  id: string,
  token: string,
  signal: AbortSignal,
  onEvent: () => void,
): Promise<void> {
  const response = await fetch(`/api/door/${id}/events`, {
    headers: { authorization: `Bearer ${token}` },
    cache: 'no-store',
    signal,
  });
  const reader = response.ok ? response.body?.pipeThrough(new TextDecoderStream()).getReader() : undefined;
  for (;;) {
    const part = await reader?.read();
    if (!part || part.done) return;
    if (part.value.includes('data:')) onEvent();
  }
}

/** Calls back whenever the door says that something came; opens the stream again where it ended. */
function useEvents(door: { readonly id: string; readonly token: string } | null, onEvent: () => void): void {
  const latest = useRef(onEvent);
  useEffect(() => {
    latest.current = onEvent;
  });
  const id = door?.id;
  const token = door?.token;
  useEffect(() => {
    if (id === undefined || token === undefined) return;
    const end = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const listen = () => {
      readEvents(id, token, end.signal, () => latest.current())
        .catch(() => undefined)
        .finally(() => {
          if (!end.signal.aborted) timer = setTimeout(listen, AGAIN);
        });
    };
    listen();
    return () => {
      end.abort();
      clearTimeout(timer);
    };
  }, [id, token]);
}

/** Keeps the door of the quiz at hand up to date both ways, at whatever station. */
export function DoorKeeper({ children }: { readonly children: ReactNode }) {
  const { quiz, attemptsSeq } = useQuiz();
  const { id: quizId, changeSeq } = quiz;
  const door = useLiveQuery(async () => (await doorOf(quizId)) ?? null, [quizId], null);
  const isOpen = door !== null;
  const [stand, setStand] = useState<DoorStand>({ state: 'none' });
  const [trouble, setTrouble] = useState<string | null>(null);
  const look = useCallback(
    async (takeOver = false) => {
      const synced = await classWorker()
        .syncDoor(quizId, takeOver)
        .catch((error: unknown) => {
          setTrouble(failureWords(error));
          return null;
        });
      if (!synced) return;
      const { stand: now, moved } = synced;
      setTrouble(null);
      setStand(now);
      if (moved > 0)
        notify(
          `${count(moved, 'paper')} moved on while you changed ${moved === 1 ? 'it' : 'them'}, so that change was not taken. Look again.`,
        );
    },
    [quizId],
  );
  useEffect(() => {
    if (!isOpen) {
      setStand({ state: 'none' });
      return;
    }
    const timer = setTimeout(() => void look(), SETTLED);
    return () => clearTimeout(timer);
  }, [isOpen, look, changeSeq, attemptsSeq]);
  useEffect(() => {
    if (!isOpen) return;
    const timer = setInterval(() => void look(), LOOK);
    return () => clearInterval(timer);
  }, [isOpen, look]);
  useEvents(door, () => void look());
  const view = useMemo(() => ({ stand, trouble, look }), [stand, trouble, look]);
  return <DoorContext value={view}>{children}</DoorContext>;
}
