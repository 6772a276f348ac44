import { useState } from 'react';
import { openTrialPort } from '@/workers/studentPort';
import { addressHere, Sit } from './Sit';

const place = addressHere();
/** Inside the phone's frame stands the page alone. */
const framed = new URLSearchParams(location.search).has('framed');

type Frame = 'phone' | 'full';

interface BarProps {
  readonly frame: Frame;
  readonly onFrame: (frame: Frame) => void;
  readonly onAgain: () => void;
}

/** What this is, how it is looked at, and a new beginning. */
function Bar({ frame, onFrame, onAgain }: BarProps) {
  return (
    <aside aria-label="Dry run" className="bg-wash text-[14px]">
      <div className="mx-auto flex max-w-[1180px] flex-wrap items-center gap-x-5 gap-y-1 px-[18px] py-2">
        <p className="min-w-40 flex-1">
          <strong>Dry run.</strong> Results come at once, and nothing is saved.
        </p>
        <fieldset className="flex gap-1 max-sm:hidden">
          <legend className="sr-only">How it is looked at</legend>
          {(['phone', 'full'] as const).map((one) => (
            <label key={one} className={`btn btn-sm ${frame === one ? 'btn-primary' : 'btn-outline'}`}>
              <input
                type="radio"
                name="frame"
                className="sr-only"
                checked={frame === one}
                onChange={() => onFrame(one)}
              />
              {one === 'phone' ? 'Phone' : 'Full width'}
            </label>
          ))}
        </fieldset>
        <button type="button" className="link-text min-h-9 cursor-pointer" onClick={onAgain}>
          Start again
        </button>
      </div>
    </aside>
  );
}

/** The page over a worker of its own, which forgets everything when it is gone. */
function Alone() {
  const [port] = useState(openTrialPort);
  return <Sit port={port} place={place} />;
}

/** The dry run: the student's page over the quiz as it is written now, as wide as a phone or as the window. */
export function TrialPage() {
  const [frame, setFrame] = useState<Frame>('full');
  // A new start is a new page within this one.
  const [start, setStart] = useState(0);
  if (framed) return <Alone />;
  return (
    <div className="flex min-h-dvh flex-col">
      <Bar frame={frame} onFrame={setFrame} onAgain={() => setStart(start + 1)} />
      {frame === 'full' ? (
        <div className="flex-1">
          <Alone key={start} />
        </div>
      ) : (
        <iframe
          key={start}
          title="The quiz on a phone"
          src={`/try/?quiz=${encodeURIComponent(place.quizId)}&framed`}
          className="mx-auto my-6 h-[740px] w-[360px] rounded-[28px] border-[10px] border-ink bg-paper"
        />
      )}
    </div>
  );
}
