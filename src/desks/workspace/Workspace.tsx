import { useLiveQuery } from 'dexie-react-hooks';
import { Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import { attemptsSeq } from '@/store/records/sequence';
import { getQuestions, getQuiz } from '@/store/quiz/quizzes';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { startingFailed } from '@/ui/words/failureWords';
import { useCarriedNotice } from '@/ui/teacher/carriedNotice';
import { useFocusHandedOn } from '@/ui/widgets/press/useFocusHandedOn';
import { NewerVersion } from '@/ui/teacher/NewerVersion';
import { NoticeBar } from '@/ui/widgets/press/notices';
import { pictureBlob } from '@/store/quiz/pictures';
import { PictureSource } from '@/ui/widgets/paper/Picture';
import { QuizContext, type QuizView } from '@/ui/teacher/quizContext';
import { downloadRescue } from '@/ui/teacher/rescue';
import { StorageTrouble } from '@/ui/editing/StorageTrouble';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useReady } from '@/ui/teacher/useReady';
import { classWorker } from '@/workers/clients';
import { OpeningContext } from '@/ui/teacher/opening';
import { DoorKeeper } from './DoorKeeper';
import { EffectBar } from './EffectBar';
import { OpenDialog } from './OpenDialog';
import { StationBar } from './StationBar';
import { stationOf, STATIONS } from './stations';

type Draft = Pick<QuizView, 'pending' | 'pendingFailed'>;
type Loaded = 'loading' | 'missing' | Omit<QuizView, keyof Draft>;

async function load(quizId: string): Promise<Loaded> {
  const [quiz, records, seq] = await Promise.all([
    getQuiz(quizId),
    getQuestions(quizId),
    attemptsSeq(quizId),
  ]);
  if (!quiz) return 'missing';
  const byId = new Map(records.map((record) => [record.id, record]));
  return { quiz, questions: quiz.content.order.flatMap((id) => byId.get(id) ?? []), attemptsSeq: seq };
}

/**
 * What was loaded, with everything that is as it was before being the very same objects: of a paper of hundreds of
 * questions only the one that was changed is drawn again.
 */
function withKept(loaded: Loaded, before: Loaded): Loaded {
  if (typeof loaded !== 'object' || typeof before !== 'object') return loaded;
  const kept = new Map(before.questions.map((record) => [record.id, record]));
  const questions = loaded.questions.map((record) => {
    const known = kept.get(record.id);
    return known && known.quizId === record.quizId && known.rev === record.rev ? known : record;
  });
  const unchanged =
    questions.length === before.questions.length &&
    questions.every((one, at) => one === before.questions[at]);
  const { content } = before.quiz;
  return {
    ...loaded,
    questions: unchanged ? before.questions : questions,
    quiz: same(content, loaded.quiz.content) ? { ...loaded.quiz, content } : loaded.quiz,
  };
}

function useStation(): string {
  const [hash, setHash] = useState(location.hash);
  useEffect(() => {
    const follow = () => setHash(location.hash);
    addEventListener('hashchange', follow);
    return () => removeEventListener('hashchange', follow);
  }, []);
  return stationOf(hash);
}

/** A station that was gone to from within another one takes the focus: what was pressed is not there any more. */
function useFocusInStation(station: string): void {
  const before = useRef(station);
  useEffect(() => {
    if (before.current === station) return;
    before.current = station;
    let tries = 0;
    const focus = () => {
      const { activeElement } = document;
      if (activeElement !== null && activeElement !== document.body) return;
      const heading = document.querySelector<HTMLElement>('main h1, main h2');
      if (!heading) {
        if (tries++ < 120) frame = requestAnimationFrame(focus);
        return;
      }
      const field = heading.querySelector<HTMLElement>('input');
      if (!field) heading.tabIndex = -1;
      (field ?? heading).focus();
    };
    let frame = requestAnimationFrame(focus);
    return () => cancelAnimationFrame(frame);
  }, [station]);
}

/** What waits in the draft, worked out again whenever the key or anyone's work changes. */
function usePending(view: Omit<QuizView, keyof Draft> | null): Draft {
  const id = view?.quiz.id;
  const counting = view !== null && view.quiz.firstHandInAt !== null;
  const state = view ? `${view.quiz.changeSeq}/${view.quiz.standing.live}/${view.attemptsSeq}` : '';
  const { value, failure, again } = useQuery(
    async () => (id && counting ? classWorker().pending(id) : null),
    [id, counting, state],
  );
  return useMemo(
    () => ({
      pending: counting ? value : null,
      pendingFailed: counting && failure ? { failure, again } : null,
    }),
    [counting, value, failure, again],
  );
}

const Waiting = ({ children }: { readonly children: string }) => (
  <main className="px-6 py-24 text-center text-soft">{children}</main>
);

function Message({ title, text }: { readonly title: string; readonly text: string }) {
  return (
    <main className="mx-auto max-w-xl px-6 py-24">
      <h1 className="text-2xl">{title}</h1>
      <p className="mt-3">{text}</p>
      <p className="mt-6">
        <a className="link-text" href="/">
          To the Shelf
        </a>
      </p>
    </main>
  );
}

/** One quiz and all its stations in one workspace. */
export function Workspace() {
  return (
    <Boundary name="workspace">
      <Stations />
    </Boundary>
  );
}

function Stations() {
  const quizId = new URLSearchParams(location.search).get('id') ?? '';
  const ready = useReady();
  const before = useRef<Loaded>('loading');
  const loaded = useLiveQuery(
    async (): Promise<Loaded> => {
      if (ready !== 'ready') return 'loading';
      before.current = withKept(await load(quizId), before.current);
      return before.current;
    },
    [quizId, ready],
    'loading' as Loaded,
  );
  const station = useStation();
  useFocusInStation(station);
  useFocusHandedOn();
  useCarriedNotice();
  const data = typeof loaded === 'object' ? loaded : null;
  const draft = usePending(data);
  const view = useMemo(() => (data ? { ...data, ...draft } : null), [data, draft]);
  const [opening, setOpening] = useState(false);
  const ask = useCallback(() => setOpening(true), []);
  const title = data?.quiz.content.title;
  useEffect(() => {
    if (title !== undefined) document.title = `${title || 'Untitled quiz'} · Yentrel`;
  }, [title]);

  if (loaded === 'missing') {
    return (
      <Message
        title="This quiz is not in this browser"
        text="It may have been made in another browser, or deleted. Your other quizzes are safe."
      />
    );
  }
  if (ready !== 'ready' && ready !== 'starting') {
    return (
      <Message
        title={ready === 'blocked' ? 'This browser stores nothing' : 'The quiz cannot be opened'}
        text={startingFailed(ready)}
      />
    );
  }
  if (!view) return <Waiting>Opening the quiz…</Waiting>;
  const { Desk } = STATIONS.find(({ name }) => name === station) ?? STATIONS[0];
  return (
    <QuizContext value={view}>
      <DoorKeeper>
        <PictureSource value={pictureBlob}>
          <div className="flex min-h-dvh flex-col">
            <NewerVersion />
            <StorageTrouble onRescue={() => downloadRescue(view)} />
            <StationBar station={station} onOpening={ask} />
            <OpeningContext value={ask}>
              <Boundary name={station}>
                <Suspense fallback={<Waiting>Opening…</Waiting>}>
                  <Desk />
                </Suspense>
              </Boundary>
            </OpeningContext>
            {opening && <OpenDialog onClose={() => setOpening(false)} />}
            <EffectBar />
          </div>
        </PictureSource>
        <NoticeBar />
      </DoorKeeper>
    </QuizContext>
  );
}
