import { useCallback, useEffect, useState } from 'react';
import type { PaperData } from '@/core/away/paperData';
import { ticketShown } from '@/core/quiz/people/ticket';
import { useTelling } from '@/ui/told/useTelling';
import { TextsIn, ToldIn, useText, useTold } from '@/ui/told/useTold';
import { PictureSource } from '@/ui/widgets/paper/Picture';
import { CoverPage, plainFacts } from '../CoverPage';
import { SitBoundary } from '../SitBoundary';
import { TicketPage } from '../TicketPage';
import { WorkPages } from '../work/WorkPages';
import type { PaperDesk, Stand } from './paperDesk';
import { saveAnswersFile, SavePage } from './SavePage';

interface Props {
  readonly data: PaperData;
  readonly desk: PaperDesk;
}

const Title = ({ title }: { readonly title: string }) => {
  const text = useText();
  return (
    <p {...text} className="font-semibold wrap-anywhere">
      {title}
    </p>
  );
};

/** Where the quiz cannot be begun by the device's clock. */
function Shut({ data, stand }: { readonly data: PaperData; readonly stand: 'early' | 'closed' }) {
  const { file } = useTold();
  const text = useText();
  return (
    <main className="mx-auto max-w-[640px] px-[18px] py-16">
      <h1 {...text} className="text-[22px] wrap-anywhere">
        {data.cover.title}
      </h1>
      <p className="mt-2 text-[16.5px]">
        {stand === 'early' ? file.opens(data.opensAt ?? 0) : file.closed(data.cover.until ?? 0)} {file.clock}
      </p>
    </main>
  );
}

/** What the first page of a file says of itself. */
function useFileWords({ cover, hints }: PaperData, ticket: string) {
  const told = useTold();
  const { file, cover: words } = told;
  return {
    whose: told.ticket.mine(ticketShown(ticket)),
    facts: [
      ...plainFacts(told, cover),
      file.what,
      ...(cover.goingBack ? [file.asOften] : [words.noGoingBack]),
      ...(cover.timeLimit === null ? [] : [file.once]),
      ...(hints > 0 ? [file.noHints] : []),
      file.clock,
    ],
    results: [file.results],
  };
}

interface OneProps extends Props {
  readonly ticket: string;
  /** null: the file was made for this student alone. */
  readonly onOther: (() => void) | null;
}

type Shown = 'paper' | 'saved';

/** The paper of one ticket. */
function OfTicket({ data, desk, ticket, onOther }: OneProps) {
  const [stand, setStand] = useState<Stand>(() => desk.stand(ticket));
  const [shown, setShown] = useState<Shown>('paper');
  const [file, setFile] = useState<string | null>(null);
  const words = useFileWords(data, ticket);
  const told = useTold();
  const { cover } = data;
  useEffect(() => {
    if (stand !== 'working') document.title = cover.title;
  }, [stand, cover.title]);
  if (stand === 'early' || stand === 'closed') return <Shut data={data} stand={stand} />;
  if (stand === 'ready') {
    const below = onOther && (
      <button type="button" className="link-text mt-4 block min-h-11 cursor-pointer" onClick={onOther}>
        {told.ticket.other}
      </button>
    );
    return (
      <CoverPage
        cover={cover}
        instead={{ ...words, below }}
        onBegin={() => {
          desk.begin(ticket);
          setStand(desk.stand(ticket));
          return Promise.resolve();
        }}
      />
    );
  }
  const working = desk.working(ticket);
  const save = () => desk.save(ticket);
  const done = () => {
    setStand(desk.stand(ticket));
    setShown('saved');
    return Promise.resolve();
  };
  const handOut = () => {
    const data = save();
    if (!data) return Promise.reject(new Error('There is nothing to save'));
    setFile(saveAnswersFile(data));
    return done();
  };
  if (stand === 'over' || shown === 'saved')
    return (
      <SavePage
        cover={cover}
        ticket={ticket}
        file={file}
        isOver={stand === 'over'}
        isKept={desk.isKept}
        save={save}
        onSaved={setFile}
        onBack={stand === 'over' ? null : () => setShown('paper')}
      />
    );
  if (!working) return null;
  return (
    <>
      {!desk.isKept && (
        <p role="alert" className="mx-auto max-w-[640px] border-l-2 border-saffron bg-wash px-[18px] py-2">
          {told.file.notKept}
        </p>
      )}
      <WorkPages
        port={desk.port}
        address={{ quizId: data.quizId, ticket }}
        cover={cover}
        working={working}
        isLocked={false}
        way="file"
        onDone={(how) => (how === 'handedIn' ? handOut() : done())}
        onEarlier={() => undefined}
      />
    </>
  );
}

function Whole({ data, desk }: Props) {
  const [ticket, setTicket] = useState<string | null>(() => data.ticket ?? desk.lastTicket());
  const { file } = useTold();
  if (ticket === null)
    return (
      <TicketPage
        above={<Title title={data.cover.title} />}
        below={<p className="mt-6 text-soft">{file.what}</p>}
        trouble={null}
        onTicket={(code) => Promise.resolve(setTicket(code))}
      />
    );
  return (
    <OfTicket
      key={ticket}
      data={data}
      desk={desk}
      ticket={ticket}
      onOther={data.ticket === null ? () => setTicket(null) : null}
    />
  );
}

/** A paper as a file: everything is in it, and nothing is fetched or sent. */
export function PaperFile(props: Props) {
  const { data, desk } = props;
  const { language, decimalSign } = data.cover;
  const telling = useTelling(language, decimalSign);
  const picture = useCallback(
    (hash: string) => desk.port.picture({ quizId: data.quizId, ticket: '' }, hash),
    [desk, data.quizId],
  );
  if (!telling) return null;
  return (
    <ToldIn value={telling}>
      <TextsIn value={language}>
        <SitBoundary>
          <PictureSource value={picture}>
            <Whole data={data} desk={desk} />
          </PictureSource>
        </SitBoundary>
      </TextsIn>
    </ToldIn>
  );
}
