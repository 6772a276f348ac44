import { useState } from 'react';
import type { SittingAct } from '@/core/sitting/acts';
import { isFinished } from '@/core/quiz/times/window';
import { showAspects } from '@/store/quiz/standing';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { actOnSitting } from '@/store/work/sittingActs';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { Failed } from '@/ui/widgets/press/Failed';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { fromWallField, toWallField, zoneName } from '@/ui/words/wallField';
import { toldWords } from '@/ui/words/warningWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { ActEffect, ActEffects, TrayRow } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';
import { longestOf, offersFor, tomorrow, type Given, type Offer } from './actsFor';
import { actName, doneWords, effectWords, PROBLEMS } from './actWords';

interface FieldsProps {
  readonly given: Given;
  readonly onGive: (given: Given) => void;
  /** Whether anything uses the minutes. */
  readonly timed: boolean;
  /** Whether there need be none. */
  readonly mayBeNone: boolean;
}

const MINUTES = [5, 10, 15, 20, 30, 45, 60];
/** More for whoever is at it, where nothing else is chosen. */
const USUAL_MINUTES = 20;

/** The minutes and the end that the presses below use. */
function Fields({ given, onGive, timed, mayBeNone }: FieldsProps) {
  const { zone } = useQuiz().quiz.content;
  const [text, setText] = useState(() => toWallField(given.until, zone));
  const type = (typed: string) => {
    setText(typed);
    const until = fromWallField(typed, zone);
    if (!Number.isNaN(until)) onGive({ ...given, until });
  };
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-2">
      {timed && (
        <label className="block">
          <span className="label-small block">More time</span>
          <select
            className="select w-36"
            value={given.minutes}
            onChange={(event) => onGive({ ...given, minutes: Number(event.target.value) })}
          >
            {mayBeNone && <option value={0}>none</option>}
            {MINUTES.map((minutes) => (
              <option key={minutes} value={minutes}>
                {minutes} minutes
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="block">
        <span className="label-small block">Open until ({zoneName(zone)})</span>
        <input
          type="datetime-local"
          className="input"
          value={text}
          onChange={(event) => type(event.target.value)}
        />
      </label>
    </div>
  );
}

interface OfferProps {
  readonly offer: Offer;
  readonly effect: ActEffect | undefined;
  readonly onAct: (act: SittingAct) => Promise<void>;
}

/** One thing that can be done, with what it would come to. */
function OneOffer({ offer: { act }, effect, onAct }: OfferProps) {
  const { zone } = useQuiz().quiz.content;
  const press = usePress(() => onAct(act));
  return (
    <li className="flex items-center gap-4 border-t border-hair py-2.5 max-sm:flex-col max-sm:items-stretch max-sm:gap-1.5">
      <button
        type="button"
        className="btn btn-outline w-64 shrink-0 font-normal max-sm:w-full"
        disabled={press.busy || Boolean(effect?.problem)}
        onClick={press.start}
      >
        {actName(act, zone)}
      </button>
      <div className="min-w-0 flex-1">
        <p className="caption">{effect ? effectWords(act, effect, zone) : 'Working out what it changes…'}</p>
        {press.error && <Failed className="mt-1" text={press.error} onAgain={press.start} />}
      </div>
    </li>
  );
}

interface ToldProps {
  readonly told: ActEffects['told'];
  readonly name: string;
}

/** What others could tell the student, and the press that hides it from them meanwhile. */
function Told({ told, name }: ToldProps) {
  const { quiz } = useQuiz();
  const hide = usePress(async () => {
    const step = await showAspects(quiz.id, told, 'takeBack');
    notify('Hidden from everyone until you show it again', {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
  });
  if (told.length === 0) return null;
  return (
    <div className="mt-4 border-l-2 border-saffron bg-wash px-3 py-2" role="note">
      <p>
        <strong>Others could pass answers on to {name}.</strong> While {name} can still hand in, other
        students see {toldWords(told)}.{' '}
        <button type="button" className="link-text cursor-pointer" disabled={hide.busy} onClick={hide.start}>
          Hide it from everyone
        </button>{' '}
        until you show it again.
      </p>
      {hide.error && <Failed className="mt-1" text={hide.error} onAgain={hide.start} />}
    </div>
  );
}

function standsWords({ state, again, endsAt, until, attempts, left }: TrayRow, zone: string): string {
  const sat =
    attempts === 0
      ? 'Not started'
      : again
        ? 'Handed in, working again'
        : state === 'working'
          ? 'Working'
          : 'Done';
  const more = left === null ? 'any number of attempts left' : `${left === 0 ? 'no' : left} more ${left === 1 ? 'attempt' : 'attempts'}`; // prettier-ignore
  const end = endsAt ?? until;
  return `${sat}, ${more}, ${end === null ? 'no end' : `${endsAt === null ? 'open until' : 'ends'} ${dayAndTimeIn(end, zone)}`}`;
}

/** What can be done for one student: more time, later, another attempt, one given back or collected. */
export function ForOne({ row, onClose }: { readonly row: TrayRow; readonly onClose: () => void }) {
  const { quiz, attemptsSeq } = useQuiz();
  const { zone } = quiz.content;
  const [at] = useState(now);
  const [given, setGiven] = useState<Given>(() => ({
    // What is given back goes on with the time that was left, unless more is chosen.
    minutes: isFinished(row.state) ? 0 : USUAL_MINUTES,
    until: tomorrow(row, at, zone),
  }));
  const offers = offersFor(row, given, at);
  const acts = offers.map(({ act }) => act);
  const { value, failure, again } = useFreshQuery(
    () => classWorker().actEffects(quiz.id, row.studentId, acts, longestOf(given, row)),
    [quiz.id, row.studentId, acts, quiz.standing, attemptsSeq],
  );
  const act = async (chosen: SittingAct) => {
    const done = await actOnSitting(quiz.id, row.studentId, chosen);
    if (!done.ok) {
      notify(PROBLEMS[done.problem]);
      return;
    }
    notify(doneWords(chosen, row.name, zone), {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, done.step)),
    });
    onClose();
  };
  const uses = offers.some((offer) => offer.uses === 'minutes' || offer.uses === 'both');
  return (
    <Dialog title={row.name} onClose={onClose} first="heading">
      <p className="caption figures -mt-3 mb-4">{standsWords(row, zone)}.</p>
      <Fields given={given} onGive={setGiven} timed={uses} mayBeNone={isFinished(row.state)} />
      <Told told={value?.told ?? []} name={row.name} />
      {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
      <ul className="mt-4 border-b border-hair">
        {offers.map((offer, index) => (
          <OneOffer key={offer.act.act} offer={offer} effect={value?.effects[index]} onAct={act} />
        ))}
      </ul>
      <p className="caption mt-3">
        Each of these can be undone. What the student writes is never lost by it.
      </p>
      <div className="mt-4 flex justify-end">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}
