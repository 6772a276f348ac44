import { useState } from 'react';
import { dayAndTime } from '@/ui/words/figures';
import { useDoor } from '@/ui/teacher/door';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { run, usePress } from '@/ui/widgets/press/press';
import { typedAddress, useStudentsAddress } from '@/ui/teacher/useStudentsAddress';
import type { DoorStand, TrayRow } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';
import { CloseDoorDialog, DoorDialog, WayWords } from './DoorDialog';

/** A field for the receipt that a student shows. */
function ReceiptCheck({ rows }: { readonly rows: readonly TrayRow[] }) {
  const { quiz } = useQuiz();
  const [code, setCode] = useState('');
  const [said, setSaid] = useState('');
  const check = usePress(async () => {
    const found = await classWorker().checkReceipt(quiz.id, code);
    const row = found && rows.find(({ studentId }) => studentId === found.studentId);
    setSaid(
      found
        ? `It is of ${row?.name ?? 'a student'}, handed in ${dayAndTime(found.handedInAt)}, with the answers that are here.`
        : 'No paper behind this door has this receipt. It may have been handed in again since.',
    );
  });
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        check.start();
      }}
    >
      <label className="block text-[14px]" htmlFor="receipt">
        Check a receipt
      </label>
      <span className="mt-1 flex gap-2">
        <input
          id="receipt"
          className="input figures h-9 w-40 uppercase"
          type="text"
          autoComplete="off"
          spellCheck={false}
          maxLength={40}
          value={code}
          onChange={(event) => setCode(event.target.value)}
        />
        <button
          type="submit"
          className="btn btn-sm btn-outline h-9"
          disabled={check.busy || code.trim() === ''}
        >
          Check
        </button>
      </span>
      <p role="status" className="mt-1 text-[14px]">
        {check.error ?? said}
      </p>
    </form>
  );
}

/** How the door stands, in a sentence; what is not usual is told as such. */
function Stands({ stand, onOver }: { readonly stand: DoorStand; readonly onOver: () => void }) {
  const { look } = useDoor();
  switch (stand.state) {
    case 'none':
      return null;
    case 'open':
      return (
        <p className="mt-1 text-[14px]">
          A door is open since {dayAndTime(stand.openedAt)}. Everything that has come is here
          {stand.reachedAt > 0 && `, as of ${dayAndTime(stand.reachedAt)}`}.
        </p>
      );
    case 'away':
      return (
        <Failed
          className="mt-2"
          text={`The server cannot be reached${stand.reachedAt > 0 ? ` since ${dayAndTime(stand.reachedAt)}` : ''}. What students do there is kept and fetched later; what you change here goes out then.`}
          onAgain={() => run(() => look())}
        />
      );
    case 'gone':
      return (
        <div role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-4 py-3">
          <p>The server has no such door any more: it ended, or another browser closed it.</p>
          <button type="button" className="btn btn-sm btn-outline mt-2" onClick={onOver}>
            Let it go
          </button>
        </div>
      );
    case 'otherBrowser':
      return (
        <div role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-4 py-3">
          <p>
            Another browser of yours has changed this door. Students see what was set there; papers still come
            in here.
          </p>
          <button type="button" className="btn btn-sm btn-outline mt-2" onClick={() => run(() => look(true))}>
            Use what is set here
          </button>
        </div>
      );
  }
}

/** The way to students' own devices through this page's server. */
export function Door({ rows }: { readonly rows: readonly TrayRow[] }) {
  const { quiz } = useQuiz();
  const { stand, trouble, look } = useDoor();
  const address = useStudentsAddress();
  const [asking, setAsking] = useState<'open' | 'close' | null>(null);
  const over = () =>
    run(async () => {
      await classWorker().closeDoor(quiz.id);
      await look();
    });
  const isOpen = stand.state !== 'none' && stand.state !== 'gone';
  return (
    <section aria-labelledby="door" className="mt-8">
      <h2 id="door" className="text-[15px]">
        On students’ own devices
      </h2>
      {stand.state === 'none' && (
        <>
          <p className="mt-1 text-[14px] text-soft">
            Through this page’s server: students take the quiz on their phones and computers, and their
            answers come in live.
          </p>
          <button type="button" className="btn btn-sm btn-outline mt-2" onClick={() => setAsking('open')}>
            Open a door…
          </button>
        </>
      )}
      {trouble !== null && (
        <Failed
          className="mt-2"
          text={`What came through the door could not be stored here. It is safe on the server. ${trouble}`}
          onAgain={() => run(() => look())}
        />
      )}
      <Stands stand={stand} onOver={over} />
      {isOpen && (
        <>
          {address && (
            <p className="mt-1 text-[14px]">
              Students go to <strong className="figures">{typedAddress(address)}</strong>
            </p>
          )}
          <WayWords address={address} />
          <ReceiptCheck rows={rows} />
          <button
            type="button"
            className="link-text mt-2 min-h-9 cursor-pointer"
            onClick={() => setAsking('close')}
          >
            Close the door…
          </button>
        </>
      )}
      {asking === 'open' && <DoorDialog onClose={() => setAsking(null)} />}
      {asking === 'close' && <CloseDoorDialog onClose={() => setAsking(null)} />}
    </section>
  );
}
