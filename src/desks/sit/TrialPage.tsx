import { openTrialPort } from '@/workers/trialPort';
import { addressHere, Sit } from './Sit';

const port = openTrialPort();
const place = addressHere();

/** The dry run: the student's page over the quiz as it is written now. A new start is a new page. */
export const TrialPage = () => (
  <>
    <aside
      aria-label="Dry run"
      className="sticky top-0 z-10 mx-auto flex max-w-[640px] flex-wrap items-center gap-x-4 gap-y-1 bg-wash px-[18px] py-2 text-[14px]"
    >
      <p className="min-w-40 flex-1">
        <strong>Dry run.</strong> Results come at once, and nothing is kept.
      </p>
      <button type="button" className="link-text min-h-9 cursor-pointer" onClick={() => location.reload()}>
        Start again
      </button>
    </aside>
    <Sit port={port} place={place} />
  </>
);
