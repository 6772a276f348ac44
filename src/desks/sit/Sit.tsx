import { useCallback, useEffect, useState } from 'react';
import type { Cover, Missing, PaperPacket } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import type { Told } from '@/ui/told/en';
import { IN_ENGLISH } from '@/ui/told/languages';
import { useTelling } from '@/ui/told/useTelling';
import { TextsIn, ToldIn, useTold } from '@/ui/told/useTold';
import { PictureSource } from '@/ui/widgets/paper/Picture';
import { CoverPage } from './CoverPage';
import type { Done } from './done';
import { run } from './run';
import { SitBoundary } from './SitBoundary';
import { SlipPage } from './SlipPage';
import { WorkPages } from './work/WorkPages';

/** What a quiz says of the language of its page. */
type QuizLanguage = Pick<Cover, 'language' | 'decimalSign'>;

interface SitProps {
  readonly port: StudentPort;
  readonly place: PaperAddress;
}

/** Where the page's address says that the paper is. */
export function addressHere(): PaperAddress {
  const query = new URLSearchParams(location.search);
  return { quizId: query.get('quiz') ?? '', ticket: query.get('ticket') ?? '' };
}

interface MessageProps {
  readonly title: string;
  readonly text: string;
  /** The score of one who handed in nothing, where it is shown. */
  readonly missing?: Missing | null;
  readonly onAgain?: () => void;
}

function Message({ title, text, missing, onAgain }: MessageProps) {
  const told = useTold();
  return (
    <main className="mx-auto max-w-[640px] px-[18px] py-16">
      <h1 dir="auto" className="text-[22px] wrap-anywhere">
        {title}
      </h1>
      {missing && (
        <p className="mt-2 text-[16.5px] font-semibold">{told.page.nothingHandedIn(missing.outOf)}</p>
      )}
      <p className="mt-2 text-[16.5px]">{text}</p>
      {onAgain && (
        <button type="button" className="btn btn-outline mt-5 h-11 px-5 text-[15px]" onClick={onAgain}>
          {told.again}
        </button>
      )}
    </main>
  );
}

/** A browser may print the page's address in the foot: one that opens a student's paper does not go on paper. */
function useAddressOffPaper(): void {
  useEffect(() => {
    let own: string | null = null;
    const hide = () => {
      own = location.href;
      history.replaceState(history.state, '', location.pathname);
    };
    const restore = () => {
      if (own !== null) history.replaceState(history.state, '', own);
      own = null;
    };
    addEventListener('beforeprint', hide);
    addEventListener('afterprint', restore);
    return () => {
      removeEventListener('beforeprint', hide);
      removeEventListener('afterprint', restore);
    };
  }, []);
}

/** A student's paper: nothing but the quiz, and what comes back. It knows only what the port hands out. */
export function Sit(props: SitProps) {
  useAddressOffPaper();
  const [quiz, setQuiz] = useState<QuizLanguage | null>(null);
  // The language that a page began in is that of its sitting, whatever the teacher sets meanwhile.
  const keep = useCallback((next: QuizLanguage) => setQuiz((before) => before ?? next), []);
  const telling = useTelling(quiz?.language ?? null, quiz?.decimalSign ?? null);
  // Before its words are there, a page says nothing rather than something in another language.
  return (
    <ToldIn value={telling ?? IN_ENGLISH}>
      <TextsIn value={quiz?.language ?? null}>
        <SitBoundary>
          <Paper {...props} toldOf={telling && quiz} isTold={telling !== null} onQuiz={keep} />
        </SitBoundary>
      </TextsIn>
    </ToldIn>
  );
}

/** What is worked at with the end that it has now. */
function withEnd(before: PaperPacket, next: PaperPacket): PaperPacket {
  const isSame =
    before.state === 'working' &&
    next.state === 'working' &&
    before.working.attemptId === next.working.attemptId;
  // What closed over it is told at the next save, with what was kept; only a quiz that was taken back hides it at once.
  if (!isSame) return next.state === 'closed' ? next : before;
  const { endsAt, now } = next.working;
  return { ...before, cover: next.cover, working: { ...before.working, endsAt, now } };
}

/** So often the page looks where its paper stands: milliseconds. */
const LOOK = 15_000;
/** So often it says that it is open, where only the time worked depends on it: milliseconds. */
const SIGN = 60_000;

/** The packet of the student at this address, kept up to date. */
function usePaper({ port, place }: SitProps) {
  const [packet, setPacket] = useState<PaperPacket | 'loading' | 'failed' | Done>('loading');
  // Which of several attempts is looked at; the latest one where nothing is said.
  const [attempt, setAttempt] = useState<number | undefined>();
  // Locked while it is worked at: what is typed stays in the page, out of sight.
  const [isLocked, setLocked] = useState(false);
  const picture = useCallback((hash: string) => port.picture(place, hash), [port, place]);

  const open = useCallback(async () => {
    try {
      setPacket(await port.openPaper(place, attempt));
    } catch {
      // What is on the page already stays: a look that failed is taken again later.
      setPacket((before) => (before === 'loading' ? 'failed' : before));
    }
  }, [port, place, attempt]);
  // What comes after the work may not be there yet: the work is done all the same, and that is said.
  const done = async (how: Done) => {
    const next = await port.openPaper(place, attempt).catch(() => how);
    setPacket(next);
  };
  const lookAgain = useCallback(async () => {
    const next = await port.openPaper(place, attempt).catch(() => null);
    if (!next) return;
    setLocked(next.state === 'locked');
    setPacket((before) => (typeof before === 'object' ? withEnd(before, next) : before));
  }, [port, place, attempt]);
  // Fails where the attempt could not be begun: the page it was asked on says so, and offers it again.
  const begin = async () => {
    const next = await port.begin(place);
    setAttempt(undefined);
    setPacket(next);
  };

  useEffect(() => {
    open().catch(() => setPacket('failed'));
  }, [open]);

  const finished = typeof packet === 'object' && packet.state === 'finished';
  const waits = typeof packet === 'object' && (packet.state === 'closed' || packet.state === 'locked');
  const working = typeof packet === 'object' && packet.state === 'working';
  useEffect(() => {
    if (!finished && !waits && !working) return;
    // While it is worked at, only the end may have moved, or the quiz was taken back: what is typed stays as it is.
    const look = working ? lookAgain : open;
    const timer = setInterval(() => run(look), LOOK);
    return () => clearInterval(timer);
  }, [finished, waits, working, open, lookAgain]);

  const signing = typeof packet === 'object' && packet.state === 'working' ? packet.working.attemptId : null;
  // Where nobody comes back, silence locks the page; everywhere else it only ends the time worked.
  const often = typeof packet === 'object' && packet.state === 'working' && !packet.cover.comingBack;
  useEffect(() => {
    if (signing === null) return;
    const sign = async () => {
      const receipt = await port.giveSign(place, signing).catch(() => null);
      if (receipt?.state === 'refused' && receipt.reason === 'locked') await lookAgain();
    };
    run(sign);
    const timer = setInterval(() => run(sign), often ? LOOK : SIGN);
    return () => clearInterval(timer);
  }, [signing, often, port, place, lookAgain]);

  const title = typeof packet === 'object' && packet.state !== 'unknown' ? packet.cover.title : '';
  useEffect(() => {
    // While it is worked at, the page at hand is told with it.
    if (title && !working) document.title = title;
  }, [title, working]);

  const retry = () => {
    setPacket('loading');
    run(open);
  };
  return { packet, isLocked, picture, done, begin, retry, setAttempt };
}

interface NoPaper {
  readonly title: string;
  readonly text: string;
  readonly missing?: Missing | null;
}

/** Where there is no paper to be shown, why; null where there is one. */
function noPaperWords({ page, results }: Told, packet: PaperPacket): NoPaper | null {
  switch (packet.state) {
    case 'unknown':
      return {
        title: page.noPaper,
        text: page.noPaperWhy,
      };
    case 'closed':
      return {
        title: packet.cover.title,
        text: packet.takenBack
          ? page.takenBack
          : packet.opensAt === null
            ? page.notOpen
            : page.opens(packet.opensAt),
        missing: packet.missing,
      };
    case 'locked':
      return { title: packet.cover.title, text: page.locked };
    case 'notHandedIn':
      return {
        title: packet.cover.title,
        text: [page.notHandedIn, packet.cameAfter > 0 ? results.cameAfter(packet.cameAfter) : '']
          .filter(Boolean)
          .join(' '),
        missing: packet.missing,
      };
    default:
      return null;
  }
}

interface PaperProps extends SitProps {
  /** False until the words of the page's language are there. */
  readonly isTold: boolean;
  /** The quiz in whose language they are; null where they are in the browser's. */
  readonly toldOf: QuizLanguage | null;
  readonly onQuiz: (quiz: QuizLanguage) => void;
}

/** What has happened to a page that is worked at, said aloud: that it was locked, and that it goes on. */
function LockSaid({ isLocked }: { readonly isLocked: boolean }) {
  const { page } = useTold();
  const [was, setWas] = useState(false);
  useEffect(() => {
    if (isLocked) setWas(true);
  }, [isLocked]);
  return (
    <p role="status" className="sr-only">
      {isLocked ? page.lockedNow : was ? page.unlocked : ''}
    </p>
  );
}

function Paper({ port, place, isTold, toldOf, onQuiz }: PaperProps) {
  const { packet, isLocked, picture, done, begin, retry, setAttempt } = usePaper({ port, place });
  const told = useTold();
  const cover = typeof packet === 'object' && packet.state !== 'unknown' ? packet.cover : null;
  const language = cover?.language;
  const decimalSign = cover?.decimalSign;
  useEffect(() => {
    if (language && decimalSign) onQuiz({ language, decimalSign });
  }, [language, decimalSign, onQuiz]);
  if (packet === 'loading' || !isTold || (cover !== null && toldOf === null))
    return (
      <main className="px-6 py-24 text-center text-soft">
        <h1 className="waiting-text text-[15px] font-normal">{isTold && told.page.loading}</h1>
      </main>
    );
  if (packet === 'failed') {
    return <Message title={told.page.cannotOpen} text={told.page.cannotOpenWhy} onAgain={retry} />;
  }
  if (packet === 'handedIn' || packet === 'timeOver')
    return <Message title={told.page[packet]} text={told.page.restToCome} onAgain={retry} />;
  const none = noPaperWords(told, packet);
  if (none) return <Message {...none} />;
  if (packet.state === 'ready') {
    return (
      <PictureSource value={picture}>
        <CoverPage cover={packet.cover} onBegin={begin} />
      </PictureSource>
    );
  }
  if (packet.state === 'working') {
    const { working } = packet;
    return (
      <PictureSource value={picture}>
        <LockSaid isLocked={isLocked} />
        {isLocked && <Message title={packet.cover.title} text={told.page.locked} />}
        <WorkPages
          key={working.attemptId}
          port={port}
          address={place}
          cover={packet.cover}
          working={working}
          isLocked={isLocked}
          onDone={done}
          onEarlier={setAttempt}
        />
      </PictureSource>
    );
  }
  if (packet.state !== 'finished') return null;
  const { slip, attempts, receipt } = packet;
  return (
    <PictureSource value={picture}>
      <SlipPage
        cover={packet.cover}
        slip={slip}
        attempts={attempts}
        receipt={receipt}
        onAttempt={setAttempt}
        onAgain={begin}
        onGoOn={() => setAttempt(undefined)}
      />
    </PictureSource>
  );
}
