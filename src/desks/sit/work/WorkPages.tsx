import { valueAt } from '@/core/figures/valueAt';
import { useEffect, useRef, useState } from 'react';
import { asksFor, progressOfAnswer } from '@/core/kinds/progress';
import type { Cover, Working } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import type { Told } from '@/ui/told/en';
import { useTold } from '@/ui/told/useTold';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { LastPage } from './LastPage';
import type { Done, Way } from '../done';
import { Earlier } from './Earlier';
import { fetchSitFaces } from '@/kinds/sit';
import { KeepLine } from './KeepLine';
import { bySection, numbersIn, pagesOf, pageTitle, type PageHere } from './pages';
import { QuestionHere } from './QuestionHere';
import { run } from '../run';
import { SectionBeside } from './SectionBeside';
import { Top } from './Top';
import { useAnswers } from './useAnswers';
import { TimeWarning } from './TimeLeft';
import { useHints } from './useHints';
import { useTimeLeft } from './useTimeLeft';

interface Props {
  readonly port: StudentPort;
  readonly address: PaperAddress;
  readonly cover: Cover;
  readonly working: Working;
  /** True while the page is locked: it shows nothing, and keeps what was typed. */
  readonly isLocked: boolean;
  readonly way?: Way;
  readonly onDone: (how: Done) => Promise<void>;
  /** Shows the results of an attempt that is over. */
  readonly onEarlier: (attempt: number) => void;
}

interface WaysProps {
  readonly at: number;
  readonly last: number;
  readonly onGo: (to: number) => void;
  readonly back: boolean;
  /** Why one cannot go on yet; null where one can. */
  readonly holds: string | null;
  /** True where the last page led here: it can be gone back to at once. */
  readonly fromLast: boolean;
  readonly way: Way;
}

function Ways({ at, last, onGo, back, holds, fromLast, way }: WaysProps) {
  const { work, file } = useTold();
  const review = way === 'file' ? file.review : work.review;
  return (
    <nav
      aria-label={work.pages}
      className="ways flex items-center justify-between gap-3 border-t border-line bg-paper px-[18px] py-3"
    >
      {back ? (
        <button
          type="button"
          className="btn btn-outline h-11 px-5 text-[15px]"
          disabled={at === 0}
          onClick={() => onGo(at - 1)}
        >
          {work.back}
        </button>
      ) : (
        <p className="caption">{holds ?? work.cannotGoBack}</p>
      )}
      {fromLast && at < last && (
        <button
          type="button"
          className="btn btn-outline ml-auto h-11 px-4 text-[15px]"
          onClick={() => onGo(last + 1)}
        >
          {review}
        </button>
      )}
      {at <= last && (
        <button
          type="button"
          className="btn btn-primary h-11 px-6 text-[15px]"
          disabled={holds !== null}
          onClick={() => onGo(at + 1)}
        >
          {at === last ? review : work.next}
        </button>
      )}
    </nav>
  );
}

const isNote = (question: Working['questions'][number] | undefined): boolean =>
  question !== undefined && !asksFor(question.face);

/** The page with the first question that is not answered in all its parts; behind the last where there is none. */
function firstOpen({ questions, answers }: Working, pages: readonly PageHere[]): number {
  const first = questions.findIndex(
    ({ id, face }) => progressOfAnswer(face, valueAt(answers, id) ?? null) !== 'all',
  );
  if (first < 0) return pages.length;
  let at = pages.findIndex(({ from, count }) => first < from + count);
  // A note before it, on a page of its own, is read first.
  while (pages[at - 1]?.count === 1 && isNote(questions[pages[at - 1]?.from ?? 0])) at--;
  return at;
}

type Answering = ReturnType<typeof useAnswers> & ReturnType<typeof useHints>;

interface PageProps {
  readonly page: PageHere;
  readonly working: Working;
  readonly answering: Answering;
  /** The question whose heading takes the focus, and where it is. */
  readonly wanted: number;
  readonly heading: React.RefObject<HTMLHeadingElement | null>;
  /** The sections that are folded, on a phone. */
  readonly folded: ReadonlySet<string>;
  readonly onFold: (sectionId: string, fold: boolean) => void;
}

/** The questions of one page, beside what belongs to them. */
function OnePage({ page, working, answering, wanted, heading, folded, onFold }: PageProps) {
  const { questions, sections } = working;
  const told = useTold();
  const numbers = numbersIn(questions);
  const asked = questions.filter(({ face }) => asksFor(face)).length;
  const stretches = bySection(questions, page).map(({ sectionId, from, count }) => {
    const section = sections.find(({ id }) => id === sectionId);
    return (
      <div
        key={`${sectionId ?? ''}-${from}`}
        className={section ? 'lg:grid lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]' : ''}
      >
        {section && (
          <SectionBeside
            section={section}
            folded={folded.has(section.id)}
            onFold={(fold) => onFold(section.id, fold)}
          />
        )}
        <div className={section ? 'min-w-0' : 'mx-auto max-w-[640px]'}>
          {questions.slice(from, from + count).map((question, index) => (
            <div key={question.id} className="border-line px-[18px] pt-4 pb-6 not-last:border-b">
              <QuestionHere
                question={question}
                at={from + index}
                number={numbers[from + index] ?? null}
                of={asked}
                answer={valueAt(answering.answers, question.id) ?? null}
                hints={valueAt(answering.hints, question.id) ?? []}
                alone={page.count === 1}
                headingRef={from + index === wanted ? heading : null}
                newBeside={
                  section && questions[from + index - 1]?.section !== section.id
                    ? section.heading || told.work.besides
                    : null
                }
                onAnswer={(answer) => answering.give(question.id, answer)}
                onHint={(hintId) => answering.ask(question.id, hintId)}
              />
            </div>
          ))}
        </div>
      </div>
    );
  });
  return (
    <>
      {page.count > 1 && (
        <h1 className="sr-only">{pageTitle(told, numbers.slice(page.from, page.from + page.count))}</h1>
      )}
      {stretches}
    </>
  );
}

/** Which page is at hand, and the question whose heading takes the focus there. */
function useTurning(working: Working) {
  const [pages] = useState(() => pagesOf(working));
  // Where nobody goes back, one goes on from the page that was turned to.
  const [at, setAt] = useState(() => working.reached ?? firstOpen(working, pages));
  // The question that is gone to; else the first of the page.
  const [wanted, setWanted] = useState<number | null>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  // Also the first one: who pressed *Begin* goes on with it.
  useEffect(() => heading.current?.focus(), [at]);
  const [fromLast, setFromLast] = useState(false);
  const go = (to: number, question: number | null = null) => {
    setFromLast(to < pages.length && (question !== null || fromLast));
    setWanted(question);
    setAt(to);
  };
  const goTo = (question: number) =>
    go(
      pages.findIndex(({ from, count }) => question < from + count),
      question,
    );
  return { pages, at, page: pages[at], wanted, heading, fromLast, go, goTo };
}

/** Which sections are folded: one stays so on its next page. */
function useFolded() {
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const fold = (sectionId: string, isFolded: boolean) =>
    setFolded(
      (before) => new Set([...before].filter((id) => id !== sectionId).concat(isFolded ? sectionId : [])),
    );
  return { folded, fold };
}

interface FootProps {
  readonly keep: Answering['keep'];
  /** Whether anything on the page is answered. */
  readonly asks: boolean;
  readonly way: Way;
  readonly onDone: (how: Done) => Promise<void>;
}

/** Below the questions of a page: whether answers are saved, and a way on where they cannot be any more. */
const Foot = ({ keep, asks, way, onDone }: FootProps) => {
  const { work, file } = useTold();
  return (
    <div className="px-[18px] pb-6">
      {asks && <KeepLine keep={keep} />}
      {keep.state === 'trouble' && (keep.reason === 'closed' || keep.reason === 'handedIn') && (
        <button
          type="button"
          className="btn btn-outline mt-3 h-11 text-[15px]"
          onClick={() => run(() => onDone(keep.reason === 'handedIn' ? 'handedIn' : 'timeOver'))}
        >
          {way === 'file' ? file.save : work.checkHandedIn}
        </button>
      )}
    </div>
  );
};

/** Why a page cannot be left yet, where nobody comes back to it. */
function holdsWords(
  { work }: Told,
  here: Working['questions'],
  answers: Working['answers'],
  turning: 'still' | 'turning' | 'failed',
): string | null {
  if (turning === 'turning') return work.goingOn;
  const isOpen = here.some(({ id, face, mustAnswer }) => {
    const done = progressOfAnswer(face, valueAt(answers, id) ?? null);
    return mustAnswer !== 'no' && (done === 'none' || (done === 'some' && mustAnswer === 'every'));
  });
  return isOpen ? work.mustFirst : null;
}

/** A page is turned to at last after so many milliseconds, also where a part of it is still on its way. */
const LONGEST_WAIT = 1500;

/** An end of the window is counted down in its last hour. */
const HOUR = 3_600_000;

/** Page after page, then the last one before handing in. */
export function WorkPages(props: Props) {
  const { port, address, cover, working, isLocked, way = 'handIn', onDone, onEarlier } = props;
  const { questions } = working;
  const answering = { ...useAnswers(port, address, working), ...useHints(port, address, working) };
  const { answers, keep, settled } = answering;
  const { pages, at, page, wanted, heading, fromLast, go, goTo } = useTurning(working);
  const told = useTold();
  const { folded, fold } = useFolded();
  const done = questions.map(({ id, face }) => progressOfAnswer(face, valueAt(answers, id) ?? null));
  const here = page ? questions.slice(page.from, page.from + page.count) : [];
  const wide = here.some(({ section }) => section !== null);
  // At the end the last answer goes first: then the page shows where it stands.
  const left = useTimeLeft(working, () => run(() => settled().then(() => onDone('timeOver'))));
  const counted = left !== null && (cover.timeLimit !== null || left < HOUR) ? left : null;
  useEffect(() => {
    run(async () => fetchSitFaces(questions.map(({ face }) => face.kind)));
  }, [questions]);
  const [turning, setTurning] = useState<'still' | 'turning' | 'failed'>('still');
  /** Where nobody goes back, a page is left once its answers are kept and the port knows that it was left. */
  const turn = async (to: number) => {
    const { from = 0, count = 0 } = pages[to] ?? {};
    const coming = fetchSitFaces(questions.slice(from, from + count).map(({ face }) => face.kind));
    // Not longer than a page takes to say that it is loading.
    if (coming) await Promise.race([coming, new Promise((end) => setTimeout(end, LONGEST_WAIT))]);
    if (cover.goingBack) return go(to);
    setTurning('turning');
    const kept = await settled().catch(() => false);
    const receipt = kept ? await port.turnTo(address, working.attemptId, to).catch(() => null) : null;
    setTurning(receipt?.state === 'kept' ? 'still' : 'failed');
    if (receipt?.state === 'kept') go(to);
  };
  const numbers = numbersIn(questions);
  const pageName = page
    ? pageTitle(told, numbers.slice(page.from, page.from + page.count))
    : way === 'file'
      ? told.file.ready
      : told.last.ready;
  useEffect(() => {
    document.title = `${pageName} · ${cover.title}`;
  }, [pageName, cover.title]);
  // What could not be saved while the page was locked is saved as soon as it goes on.
  const wasLocked = useRef(false);
  useEffect(() => {
    if (wasLocked.current && !isLocked) run(settled);
    wasLocked.current = isLocked;
  });
  const handIn = async () => {
    if (!(await settled())) throw new Error('An answer is not saved');
    const receipt = await port.handIn(address, working.attemptId);
    // Another tab may have handed it in, or the quiz closed: the page then shows where it stands.
    const stands = receipt.state === 'kept' || receipt.reason === 'handedIn' || receipt.reason === 'closed';
    if (!stands) throw new Error('Not handed in');
    await onDone('handedIn');
  };
  const lookAtEarlier = async (attempt: number) => {
    if (!(await settled())) throw new Error('An answer is not saved');
    onEarlier(attempt);
  };
  if (isLocked) return null;
  return (
    <div
      className={`mx-auto flex min-h-dvh flex-col bg-paper ${wide ? 'max-w-[640px] lg:max-w-[1180px]' : 'max-w-[640px]'}`}
    >
      <Top
        cover={cover}
        from={page?.from ?? questions.length}
        count={page?.count ?? 0}
        done={done}
        left={counted}
      />
      <TimeWarning left={left} taken={way === 'file' ? null : cover.unfinished === 'taken'} />
      <main className="flex-1 pb-2">
        <WithFormulas formulas={answering.formulas}>
          {page ? (
            <>
              <OnePage
                key={at}
                page={page}
                working={working}
                answering={answering}
                wanted={wanted ?? page.from}
                heading={heading}
                folded={folded}
                onFold={fold}
              />
              {turning === 'failed' && (
                <p role="alert" className="mx-[18px] mb-3 border-l-2 border-saffron bg-wash px-3 py-2">
                  {told.work.stillHere}
                </p>
              )}
              <Foot keep={keep} asks={here.some(({ face }) => asksFor(face))} way={way} onDone={onDone} />
              {at === 0 && <Earlier numbers={working.earlier} onLook={lookAtEarlier} />}
            </>
          ) : (
            <div className="px-[18px] pt-4 pb-8">
              <LastPage
                headingRef={heading}
                questions={questions}
                onceOnly={cover.attempts.most === 1}
                done={done}
                keep={keep}
                onGo={cover.goingBack ? goTo : null}
                way={way}
                onHandIn={handIn}
              />
            </div>
          )}
          {!page && <Earlier numbers={working.earlier} onLook={lookAtEarlier} />}
        </WithFormulas>
      </main>
      <Ways
        at={at}
        last={pages.length - 1}
        onGo={(to) => run(() => turn(to))}
        back={cover.goingBack}
        holds={cover.goingBack ? null : holdsWords(told, here, answers, turning)}
        fromLast={fromLast}
        way={way}
      />
    </div>
  );
}
