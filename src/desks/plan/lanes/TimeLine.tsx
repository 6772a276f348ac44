import { useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import type { Aspect } from '@/core/quiz/plan/plan';
import type { Plans } from '@/store/quiz/standing';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLane, PlanMark, PlanView } from '@/workers/classDesk';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { Grip } from './Grip';
import { MovedTimes, type MovedLane } from './MovedTimes';
import { withMoved } from './moveMark';
import { placeOf, spanOf, type Span } from './span';

/** What a mark on the line stands for: what gives most away, and all else together. */
const isRightAnswers = (aspect: Aspect): boolean => aspect === 'rightAnswers';

/** What comes to a lane at one instant: the right answers, or everything else. */
interface MarkHere {
  readonly at: number;
  readonly look: 'answers' | 'results';
  readonly marks: readonly PlanMark[];
  /** True for right answers that come with other results: they are drawn beside them. */
  readonly beside: boolean;
}

/** The marks of a lane: those at one instant are one, but for the right answers. */
function marksAt({ marks }: PlanLane): MarkHere[] {
  const found = new Map<string, { at: number; look: MarkHere['look']; marks: PlanMark[] }>();
  for (const mark of marks) {
    const look = isRightAnswers(mark.aspect) ? 'answers' : 'results';
    const key = `${look} ${mark.at}`;
    const known = found.get(key);
    if (known) known.marks.push(mark);
    else found.set(key, { at: mark.at, look, marks: [mark] });
  }
  return [...found.values()]
    .map((one) => ({ ...one, beside: one.look === 'answers' && found.has(`results ${one.at}`) }))
    .sort((a, b) => a.at - b.at);
}

function windowWords({ from, until }: PlanLane, zone: string): string {
  if (from === null) return 'not opened yet';
  const end = until === null ? 'no end' : dayAndTimeIn(until, zone);
  return `${dayAndTimeIn(from, zone)} – ${end}`;
}

interface BarProps {
  readonly lane: PlanLane;
  readonly span: Span;
  readonly zone: string;
  /** When others could tell this lane, while it can still hand in. */
  readonly leak: { readonly from: number; readonly until: number | null } | null;
  /** When others could pass on what only hints at the key. */
  readonly hint: BarProps['leak'];
  readonly onTimes: (from: number, until: number | null) => void;
  readonly onMarks: (marks: readonly PlanMark[], to: number) => void;
}

/** The shortest time for which something stays open where its ends are moved. */
const SHORTEST = 900_000;

/** The ends of a lane's window, each to be moved. */
function Ends({ lane, span, zone, onTimes }: Pick<BarProps, 'lane' | 'span' | 'zone' | 'onTimes'>) {
  const { name, from, until } = lane;
  if (from === null) return null;
  return (
    <>
      <Grip
        label={`${name}: open from`}
        look="end"
        span={span}
        zone={zone}
        at={from}
        soonest={span.from}
        latest={(until ?? span.to) - SHORTEST}
        onMove={(to) => onTimes(to, until)}
      />
      {until !== null && (
        <Grip
          label={`${name}: until`}
          look="end"
          span={span}
          zone={zone}
          at={until}
          soonest={from + SHORTEST}
          latest={span.to}
          onMove={(to) => onTimes(from, to)}
        />
      )}
    </>
  );
}

interface MarkProps extends Pick<BarProps, 'span' | 'zone' | 'onMarks'> {
  readonly name: string;
  readonly here: MarkHere;
}

/** What comes at one instant: to be moved where one date, or one delay, says when. */
function Mark({ name, here, span, zone, onMarks }: MarkProps) {
  const { at, look, marks, beside } = here;
  const words = marks.map(({ aspect }) => ASPECT_NAMES[aspect]).join(', ');
  if (marks.every(({ follows }) => follows !== null))
    return (
      <Grip
        label={`${name}: ${words}`}
        look={look}
        beside={beside}
        span={span}
        zone={zone}
        at={at}
        soonest={Math.max(...marks.map(({ soonest }) => soonest))}
        latest={span.to}
        onMove={(to) => onMarks(marks, to)}
      />
    );
  return (
    <span
      className={`graphic absolute top-9 size-[11px] -translate-x-1/2 -translate-y-1/2 rotate-45 ${
        look === 'answers' ? 'bg-petrol' : 'bg-saffron'
      } ${beside ? 'ml-3.5' : ''}`}
      style={{ left: `${placeOf(span, at)}%` }}
      title={`${words}: ${dayAndTimeIn(at, zone)}`}
      aria-hidden
    />
  );
}

/** One lane: when its students can sit, what is told to them too early, and when results come. */
function Bar({ lane, span, zone, leak, hint, onTimes, onMarks }: BarProps) {
  const place = (at: number) => placeOf(span, at);
  const stretch = (from: number, to: number | null) => ({
    left: `${place(from)}%`,
    width: `${Math.max(0.6, place(to ?? span.to) - place(from))}%`,
  });
  return (
    // Room at the end for what stands at or beside the last moment.
    <div className="relative mr-5 h-12">
      {span.days.map((day) => (
        <span
          key={day}
          className="absolute inset-y-0 border-l border-hair"
          style={{ left: `${place(day)}%` }}
          aria-hidden
        />
      ))}
      {hint && !leak && (
        <span
          className="absolute top-[30px] border-t-2 border-dotted border-saffron"
          style={stretch(hint.from, hint.until)}
          aria-hidden
        />
      )}
      {leak && (
        <span
          className="leak-hatch absolute top-0.5 h-7 rounded border border-saffron"
          style={stretch(leak.from, leak.until)}
          aria-hidden
        />
      )}
      {lane.from !== null && (
        <span
          className="absolute top-1.5 h-5 rounded-[3px] border border-petrol bg-[color-mix(in_oklab,var(--petrol)_16%,var(--paper))]"
          style={stretch(lane.from, lane.until)}
          aria-hidden
        />
      )}
      <Ends lane={lane} span={span} zone={zone} onTimes={onTimes} />
      {marksAt(lane).map((here) => (
        <Mark
          key={here.marks.map(({ aspect }) => aspect).join()}
          name={lane.name}
          here={here}
          span={span}
          zone={zone}
          onMarks={onMarks}
        />
      ))}
    </div>
  );
}

/** The same in words, for who cannot see the line. */
function laneWords(lane: PlanLane, zone: string): string {
  const marks = marksAt(lane).map(
    ({ at, marks: those }) =>
      `${those.map(({ aspect }) => ASPECT_NAMES[aspect]).join(', ')} by ${dayAndTimeIn(at, zone)}`,
  );
  return marks.length > 0 ? `; ${marks.join('; ')}` : '';
}

interface Props {
  readonly view: PlanView;
  readonly zone: string;
  readonly plans: Plans;
  readonly onPlans: (plans: Plans) => void;
}

/** When who can sit, and when they see what: one row for each lane, drawn over the days. */
export function TimeLine({ view, zone, plans, onPlans }: Props) {
  const known = spanOf(view, zone);
  const [moved, setMoved] = useState<MovedLane | null>(null);
  // While something is moved the line stays as it is.
  const [kept, setKept] = useState<Span | null>(null);
  const span = kept ?? known;
  const isMoved = (lane: PlanLane) =>
    moved !== null && same(moved.lane.target, lane.target) && moved.lane.name === lane.name;
  const done = () => {
    setMoved(null);
    setKept(null);
  };
  const stretchOf = (all: PlanView['leaks'], index: number) => {
    const leaks = all.filter((leak) => leak.hearers === index && leak.kind === 'others');
    if (leaks.length === 0) return null;
    const open = leaks.some(({ until }) => until === null);
    return {
      from: Math.min(...leaks.map(({ from }) => from)),
      until: open ? null : Math.max(...leaks.map(({ until }) => until ?? 0)),
    };
  };
  const day = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', timeZone: zone });
  return (
    <div className="mt-4">
      {span && (
        <div className="plan-lane max-sm:hidden" aria-hidden>
          <span />
          <div className="relative mr-5 h-5">
            {span.days.map((at) => (
              <span
                key={at}
                className="caption absolute whitespace-nowrap"
                style={{ left: `${placeOf(span, at)}%` }}
              >
                {day.format(at)}
              </span>
            ))}
          </div>
        </div>
      )}
      <ul aria-label="Who can take the quiz when" className="border-t border-line">
        {view.lanes.map((lane, index) => (
          <li
            key={index}
            className={`plan-lane border-b border-hair ${stretchOf(view.leaks, index) ? 'bg-wash' : ''}`}
          >
            <div className="py-1 pr-2 pl-1">
              <p className="leading-tight font-semibold">{lane.name}</p>
              <p className="caption figures leading-tight">
                {lane.students > 1 && `${count(lane.students, 'student')}, `}
                {windowWords(lane, zone)}
                <span className="sr-only">{laneWords(lane, zone)}</span>
              </p>
            </div>
            {span && (
              <Bar
                lane={isMoved(lane) && moved ? { ...lane, from: moved.from, until: moved.until } : lane}
                span={span}
                zone={zone}
                leak={stretchOf(view.leaks, index)}
                hint={stretchOf(view.hints, index)}
                onTimes={(from, until) => {
                  setKept(span);
                  setMoved({ lane, from, until });
                }}
                onMarks={(marks, to) => {
                  const { target } = lane;
                  onPlans(withMoved(plans, target.kind === 'all' ? null : target, marks, to, zone));
                }}
              />
            )}
          </li>
        ))}
      </ul>
      {moved && <MovedTimes moved={moved} onDone={done} />}
      {span && (
        <p className="caption mt-1 flex flex-wrap gap-x-5" aria-hidden>
          <span>▭ can take it</span>
          <span>
            <span className="graphic mr-1 inline-block size-2 rotate-45 bg-saffron" />
            results, for work collected at the end
          </span>
          <span>
            <span className="graphic mr-1 inline-block size-2 rotate-45 bg-petrol" />
            right answers
          </span>
          {view.leaks.length > 0 && <span>▨ others could pass on answers</span>}
          <span className="on-screen">Drag what is on the line, or move it with the arrow keys.</span>
        </p>
      )}
    </div>
  );
}
