import { useState } from 'react';
import { hasTimes, inZone } from '@/core/quiz/times/inZone';
import { wholeSpan } from '@/core/quiz/times/window';
import { changeZone } from '@/store/quiz/standing';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { Failed } from '@/ui/widgets/press/Failed';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { count } from '@/ui/words/figures';
import { zoneName } from '@/ui/words/wallField';
import { workEffectWords } from '@/ui/words/workEffectWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { classWorker } from '@/workers/clients';

const ZONES = Intl.supportedValuesOf('timeZone');

/** How much sooner or later an instant becomes, in hours and minutes. */
function shiftWords(before: number, after: number): string {
  const minutes = Math.round(Math.abs(after - before) / 60_000);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  const length = [hours > 0 ? count(hours, 'hour') : '', rest > 0 ? count(rest, 'minute') : ''].filter(
    Boolean,
  );
  if (length.length === 0) return 'at the same moment as before';
  return `${length.join(' and ')} ${after > before ? 'later' : 'sooner'} than before`;
}

/** What another zone would do, before it is done. */
function ZoneDialog({ zone, onClose }: { readonly zone: string; readonly onClose: () => void }) {
  const { quiz } = useQuiz();
  const [at] = useState(now);
  const { value } = useFreshQuery(
    () => (quiz.firstHandInAt === null ? Promise.resolve(null) : classWorker().zoneEffect(quiz.id, zone)),
    [quiz.id, zone],
  );
  const [before, after] = [wholeSpan(quiz.standing), wholeSpan(inZone(quiz, zone, at).standing)];
  const hold = usePress(async () => {
    const step = await changeZone(quiz.id, zone);
    notify(`Times are those of ${zoneName(zone)}`, {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
    onClose();
  });
  return (
    <Dialog title={`Times of ${zoneName(zone)}`} onClose={onClose}>
      <p>Every time that was typed stays the same on the clock: 16:00 stays 16:00, but in another place.</p>
      {before && after && before.until !== null && after.until !== null && (
        <p className="mt-3">
          The quiz closes {dayAndTimeIn(after.until, zone)}, {shiftWords(before.until, after.until)}.
        </p>
      )}
      {quiz.firstHandInAt !== null && (
        <p role="status" className="mt-3 font-semibold">
          {workEffectWords(value)}
        </p>
      )}
      {hold.error && <Failed className="mt-3" text={hold.error} onAgain={hold.start} />}
      <div className="mt-6 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-ghost" data-first-focus onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={hold.busy} onClick={hold.start}>
          Change the time zone
        </button>
      </div>
    </Dialog>
  );
}

/** The time zone in which the times of the quiz are typed and its days counted. */
export function ZoneSentence() {
  const { quiz } = useQuiz();
  const { zone } = quiz.content;
  const [asked, setAsked] = useState<string | null>(null);
  const choose = (next: string) => {
    if (next === zone) return;
    if (hasTimes(quiz)) setAsked(next);
    else run(() => changeZone(quiz.id, next));
  };
  return (
    <>
      Times are those of{' '}
      <select
        className="sentence-part"
        aria-label="Time zone"
        value={asked ?? zone}
        onChange={(event) => choose(event.target.value)}
      >
        {!ZONES.includes(zone) && <option value={zone}>{zoneName(zone)}</option>}
        {ZONES.map((one) => (
          <option key={one} value={one}>
            {zoneName(one)}
          </option>
        ))}
      </select>
      .{asked !== null && <ZoneDialog zone={asked} onClose={() => setAsked(null)} />}
    </>
  );
}
