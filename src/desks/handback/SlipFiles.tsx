import { useState } from 'react';
import { pictureHashes } from '@/core/content/pictureHashes';
import { StoreError } from '@/device/failure';
import { pictureBlob } from '@/store/quiz/pictures';
import { useQuiz } from '@/ui/teacher/quizContext';
import { chosenLanguage, tellingIn } from '@/ui/told/languages';
import { FilesNamedBy } from '@/ui/teacher/FilesNamedBy';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { downloadBytes, fileName } from '@/ui/widgets/download';
import { Choice } from '@/ui/widgets/fields/Choice';
import { notify } from '@/ui/widgets/press/notices';
import { usePress } from '@/ui/widgets/press/press';
import { count } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';
import type { Circle, NamedBy, SlipHolds } from '@/workers/classDesk';

const HOLDS: readonly (readonly [SlipHolds, label: string, hint: string])[] = [
  ['asPlanned', 'What students see now', 'As the plan shows it at this moment.'],
  ['with', 'Everything, with the right answers', 'Even what the plan still hides.'],
  ['without', 'Everything but the right answers', 'Even what the plan still hides.'],
];

/** So many slips are drawn before the page is let go on. */
const AT_ONCE = 5;

const addressOf = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new StoreError('damaged', 'A picture cannot be read'));
    reader.readAsDataURL(blob);
  });

/** Pictures, sounds and films of what is shown, each as an address that holds it whole. */
async function storedIn(shown: unknown): Promise<ReadonlyMap<string, string>> {
  const stored = new Map<string, string>();
  for (const hash of pictureHashes(shown)) {
    const blob = await pictureBlob(hash);
    if (blob) stored.set(hash, await addressOf(blob));
  }
  return stored;
}

const nextTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

interface Made {
  readonly files: number;
  /** How many students would be told nothing. */
  readonly silent: number;
}

/** Makes a file for each student and saves them in a zip; nothing is saved where nobody would be told anything. */
async function saveSlips(
  quizId: string,
  holds: SlipHolds,
  by: NamedBy,
  circle: Circle | null,
): Promise<Made> {
  const { title, language, decimalSign, slips, silent } = await classWorker().printed(
    quizId,
    holds,
    circle?.studentIds ?? null,
  );
  if (slips.length === 0) return { files: 0, silent };
  const [telling, css, { slipPage }] = await Promise.all([
    tellingIn(chosenLanguage(language, navigator.languages), decimalSign),
    classWorker().paperStyle(),
    import('./slipPage'),
  ]);
  const look = { title, language, telling, css, stored: await storedIn(slips) };
  const pages: [string, string][] = [];
  for (const [at, slip] of slips.entries()) {
    if (at % AT_ONCE === AT_ONCE - 1) await nextTurn();
    pages.push([by === 'name' ? slip.name : slip.number, slipPage(slip, look)]);
  }
  const bytes = await classWorker().zippedPages(pages);
  downloadBytes(`${fileName(title)}-results.zip`, bytes, 'application/zip');
  return { files: slips.length, silent };
}

interface Props {
  readonly circle: Circle | null;
  readonly onClose: () => void;
}

function SlipDialog({ circle, onClose }: Props) {
  const { quiz } = useQuiz();
  const [holds, setHolds] = useState<SlipHolds>('asPlanned');
  const [by, setBy] = useState<NamedBy>('number');
  const [nothing, setNothing] = useState(false);
  const save = usePress(async () => {
    const { files, silent } = await saveSlips(quiz.id, holds, by, circle);
    setNothing(files === 0);
    if (files === 0) return;
    const rest =
      silent > 0 ? `. None for ${count(silent, 'student who sees', 'students who see')} nothing yet` : '';
    notify(`Saved: ${count(files, 'file')}${rest}`);
    onClose();
  });
  return (
    <Dialog title="A file of results for each student" onClose={onClose}>
      <p>
        Each file opens in any browser, without a network. They come in one zip, and no ticket is in them.
      </p>
      <fieldset className="mt-4 space-y-2">
        <legend className="caption mb-1">What is in them</legend>
        {HOLDS.map(([one, label, hint]) => (
          <Choice
            key={one}
            name="holds"
            label={label}
            hint={hint}
            checked={holds === one}
            onChoose={() => {
              setNothing(false);
              setHolds(one);
            }}
          />
        ))}
      </fieldset>
      <FilesNamedBy className="mt-4" by={by} onChange={setBy} />
      {nothing && (
        <p role="status" className="mt-3 border-l-2 border-saffron pl-3">
          By the plan nobody sees anything yet, so there is nothing to save. Show results first, or choose
          what goes into the files.
        </p>
      )}
      <DialogFoot
        label={save.busy ? 'Making them…' : 'Save the files'}
        onGo={save.start}
        onLeave={onClose}
        disabled={save.busy}
        error={save.error}
      />
    </Dialog>
  );
}

/** Results for students who see nothing on this device: a file for each. */
export function SlipFiles({
  disabled,
  circle,
}: {
  readonly disabled: boolean;
  readonly circle: Circle | null;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <section aria-labelledby="slip-files" className="mt-6">
      <h2 id="slip-files" className="text-[15px]">
        Results as files
      </h2>
      <p className="mt-1 text-[14px] text-soft">One file for each student, to be sent to them.</p>
      <button
        type="button"
        className="btn btn-sm btn-outline mt-2"
        disabled={disabled}
        onClick={() => setAsking(true)}
      >
        Save a file each…
      </button>
      {asking && <SlipDialog circle={circle} onClose={() => setAsking(false)} />}
    </section>
  );
}
