import { count } from '@/ui/words/figures';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { sweepPictures } from '@/store/quiz/pictures';
import { attemptsSeq } from '@/store/records/sequence';
import { redo, undo } from '@/store/undo/undo';
import { SHELF } from '@/store/records/scopes';
import type { QuizRecord } from '@/store/records/db';
import { createEmptyQuiz, getQuiz } from '@/store/quiz/quizzes';
import { listClasses } from '@/store/class/classes';
import { carryNotice } from '@/ui/teacher/carriedNotice';
import { setToWords } from '@/ui/words/setToWords';
import { schoolState, listQuizzes, sweep } from '@/store/quiz/shelf';
import { dropKeys, holdKeysAcross } from '@/ui/editing/heldKeys';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { Commands } from '@/ui/teacher/Commands';
import { Failed } from '@/ui/widgets/press/Failed';
import { startingFailed } from '@/ui/words/failureWords';
import { useFocusHandedOn } from '@/ui/widgets/press/useFocusHandedOn';
import { NewerVersion } from '@/ui/teacher/NewerVersion';
import { countDoors } from '@/store/door/doors';
import { useKept } from '@/ui/teacher/useKept';
import type { Kept } from '@/offline/kept';
import { NoticeBar } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useReady } from '@/ui/teacher/useReady';
import { switchTheme, ThemeSwitch } from '@/ui/widgets/layout/ThemeSwitch';
import { UndoButtons } from '@/ui/teacher/UndoButtons';
import { Backup } from './Backup';
import { DemoData } from './DemoData';
import { OpenFile } from './OpenFile';
import { ShelfList } from './ShelfList';
import { ShelfTools, type Filter } from './ShelfTools';
import { matches } from './matches';

/** `states` tell for each quiz when its counts must be made again. */
type Listed = { quizzes: QuizRecord[]; states: string[] } | null;

async function load(): Promise<Listed> {
  const quizzes = await listQuizzes();
  const school = await schoolState();
  const seqs = await Promise.all(quizzes.map((quiz) => attemptsSeq(quiz.id)));
  return { quizzes, states: seqs.map((seq) => `${seq}/${school}`) };
}

const goTo = (id: string) => location.assign(`/quiz/?id=${encodeURIComponent(id)}#write`);

/** Whom a new quiz is for, where there are several classes: nobody has chosen that yet. */
async function setToTold(quizId: string): Promise<string> {
  const [quiz, classes] = await Promise.all([getQuiz(quizId), listClasses()]);
  const words = setToWords(quiz?.standing.setTo ?? [], classes);
  return classes.length > 1 && words !== '' ? `This quiz is for ${words}: the Tray changes it` : '';
}

/** Where the browser refuses to promise that it keeps the data, the Shelf says so. */
function usePersistence(): boolean | null {
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    navigator.storage?.persist?.().then(setKept, () => setKept(false));
  }, []);
  return kept;
}

const EVERYTHING: Filter = { search: '', topic: '', classId: '', among: 'shelf' };

/** All quizzes, each with where it stands. */
export function Shelf() {
  return (
    <Boundary name="shelf">
      <Quizzes />
    </Boundary>
  );
}

const NothingShown = ({ quizzes }: { readonly quizzes: readonly QuizRecord[] }) => (
  <p className="bg-paper px-6 py-12 text-center">
    {quizzes.every((quiz) => quiz.deletedAt !== null) ? (
      <>
        The Shelf is empty. Start with <strong>New quiz</strong>; everything is saved automatically.
        <span className="mt-2 block text-[14px] text-soft">
          You write the questions with their answers, open the quiz to a class, and check the scores that come
          out.
        </span>
      </>
    ) : (
      'No quiz matches. Try a shorter search or another list.'
    )}
  </p>
);

interface HeadProps {
  readonly ready: ReturnType<typeof useReady>;
  readonly quizzes: readonly QuizRecord[];
  readonly onCreate: () => void;
}

function Head({ ready, quizzes, onCreate }: HeadProps) {
  const actions = [
    { name: 'New quiz', run: () => onCreate() },
    ...quizzes
      .filter(({ deletedAt }) => deletedAt === null)
      .map(({ id, content }) => ({
        name: `Open “${content.title || 'Untitled quiz'}”`,
        run: () => goTo(id),
      })),
    { name: 'Go to the classes', run: () => location.assign('/class/') },
    { name: 'Try how answers are compared', run: () => location.assign('/comparing/') },
    { name: 'Undo', keys: 'Ctrl Z', run: () => run(() => undo(SHELF)) },
    { name: 'Redo', keys: 'Ctrl Shift Z', run: () => run(() => redo(SHELF)) },
    { name: 'Light or dark', run: switchTheme },
  ];
  return (
    <header className="flex items-center gap-3 py-4">
      <img src="/mark.svg" alt="" width={26} height={26} />
      <p className="flex-1 font-title text-[17px] font-semibold">Yentrel</p>
      <a className="link-text" href="/class/">
        Classes
      </a>
      <Commands actions={actions} />
      {ready === 'ready' && <UndoButtons scope={SHELF} />}
      <ThemeSwitch />
    </header>
  );
}

/** Whether Yentrel itself opens without its server; nothing while that is not known. */
const KEEPING: Readonly<Record<Kept['keeping'], string>> = {
  unknown: '',
  coming: '',
  kept: 'Yentrel is kept here, too: it opens and works with its server away.',
  insecure:
    'Yentrel opens only with its server: over plain http a browser keeps an application on the server’s own machine alone.',
  failed: 'Yentrel opens only with its server: this browser did not keep it.',
};

/** Where everything is kept, and how to keep it safe. */
function Foot({ ready, kept }: { readonly ready: boolean; readonly kept: boolean | null }) {
  const doors = useLiveQuery(async () => (ready ? countDoors() : 0), [ready], 0);
  const where = doors > 0 ? 'in this browser' : 'only in this browser';
  return (
    <div className="mt-4 flex flex-wrap justify-between gap-4 text-[13.5px] text-soft">
      <div className="space-y-1">
        <p className="max-w-lg">
          {kept === false
            ? `Everything is stored ${where}, which may clear it when space runs low.`
            : `Everything is stored ${where}.`}{' '}
          Keep a backup.
          {doors > 0 &&
            ` While a door is open, the server has a sealed copy of its quiz: ${count(doors, 'door')} now.`}
        </p>
        <p className="max-w-lg">{KEEPING[useKept().keeping]}</p>
        {ready && <Backup />}
      </div>
      <div className="space-y-1 sm:text-right">{ready && <DemoData />}</div>
    </div>
  );
}

function Quizzes() {
  const ready = useReady();
  useFocusHandedOn();
  const listed = useLiveQuery(async () => (ready === 'ready' ? load() : null), [ready], null);
  const kept = usePersistence();
  const [filter, setFilter] = useState<Filter>(EVERYTHING);
  const shown = listed?.quizzes.filter((quiz) => matches(quiz, filter)) ?? [];
  const states = new Map(listed?.quizzes.map((quiz, index) => [quiz.id, listed.states[index] ?? '']));
  useEffect(() => {
    // Tidying up can wait for another visit where it fails.
    if (ready === 'ready')
      sweep()
        .then(sweepPictures)
        .catch(() => undefined);
  }, [ready]);
  const make = usePress(async () => {
    const id = await createEmptyQuiz().catch((error: unknown) => {
      dropKeys();
      throw error;
    });
    // The quiz is there, whether or not this can be told.
    const words = await setToTold(id).catch(() => '');
    if (words !== '') carryNotice({ text: words });
    goTo(id);
  });
  const create = {
    ...make,
    start: () => {
      holdKeysAcross('Title of the new quiz');
      make.start();
    },
  };
  return (
    <div className="mx-auto max-w-[1120px] px-6 pb-16 max-sm:px-4">
      <NewerVersion />
      <Head ready={ready} quizzes={listed?.quizzes ?? []} onCreate={create.start} />
      <main>
        <div className="flex flex-wrap items-end gap-4 pt-6 pb-5 max-sm:gap-y-2 max-sm:pt-2">
          <div className="flex-1 max-sm:basis-full">
            <h1 className="text-[28px]">Shelf</h1>
            <p className="caption">Your quizzes, and what each one needs next.</p>
          </div>
          {ready === 'ready' && <OpenFile />}
          <button
            type="button"
            className="btn btn-primary"
            disabled={create.busy || ready !== 'ready'}
            onClick={create.start}
          >
            New quiz
          </button>
        </div>
        {create.error && <Failed className="mb-4" text={create.error} onAgain={create.start} />}
        {listed === null && (ready === 'ready' || ready === 'starting') && (
          <p className="waiting-text py-12 text-center text-soft">Loading your quizzes…</p>
        )}
        {ready !== 'ready' && ready !== 'starting' && (
          <p role="alert" className="border-l-2 border-saffron bg-wash px-4 py-3">
            {startingFailed(ready)}
          </p>
        )}
        {listed && <ShelfTools quizzes={listed.quizzes} filter={filter} onFilter={setFilter} />}
        {listed && shown.length === 0 && <NothingShown quizzes={listed.quizzes} />}
        {listed && shown.length > 0 && (
          <ShelfList quizzes={shown} states={states} movable={filter === EVERYTHING} />
        )}
        <Foot ready={ready === 'ready'} kept={kept} />
      </main>
      <NoticeBar />
    </div>
  );
}
