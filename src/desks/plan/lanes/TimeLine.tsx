import type { Aspect } from '@/core/quiz/plan';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLane, PlanView } from '@/workers/classDesk';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { placeOf, spanOf, type Span } from './span';

/** What a mark on the line stands for: what gives most away, and all else together. */
const isRightAnswers = (aspect: Aspect): boolean => aspect === 'rightAnswers';

/** The marks of a lane: those at one instant are one. */
function marksAt({ marks }: PlanLane): { at: number; aspects: Aspect[] }[] {
  const byTime = new Map<number, Aspect[]>();
  for (const { aspect, at } of marks) byTime.set(at, [...(byTime.get(at) ?? []), aspect]);
  return [...byTime].map(([at, aspects]) => ({ at, aspects })).sort((a, b) => a.at - b.at);
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
}

/** One lane: when its students can sit, what is told to them too early, and when results come. */
function Bar({ lane, span, zone, leak }: BarProps) {
  const place = (at: number) => placeOf(span, at);
  const stretch = (from: number, to: number | null) => ({
    left: `${place(from)}%`,
    width: `${Math.max(0.6, place(to ?? span.to) - place(from))}%`,
  });
  return (
    <div className="relative h-11">
      {span.days.map((day) => (
        <span
          key={day}
          className="absolute inset-y-0 border-l border-hair"
          style={{ left: `${place(day)}%` }}
          aria-hidden
        />
      ))}
      {leak && (
        <span
          className="leak-hatch absolute inset-y-1 rounded border border-saffron"
          style={stretch(leak.from, leak.until)}
          aria-hidden
        />
      )}
      {lane.from !== null && (
        <span
          className="absolute top-2.5 flex h-6 items-center overflow-hidden rounded-[3px] border border-petrol bg-[color-mix(in_oklab,var(--petrol)_16%,var(--paper))]"
          style={stretch(lane.from, lane.until)}
          aria-hidden
        />
      )}
      {marksAt(lane).map(({ at, aspects }) => (
        <span
          key={at}
          className={`absolute top-1/2 size-3 -translate-x-1/2 -translate-y-1/2 rotate-45 border border-paper ${
            aspects.some(isRightAnswers) ? 'bg-petrol' : 'bg-saffron'
          }`}
          style={{ left: `${place(at)}%` }}
          title={`${aspects.map((aspect) => ASPECT_NAMES[aspect]).join(', ')}: ${dayAndTimeIn(at, zone)}`}
          aria-hidden
        />
      ))}
    </div>
  );
}

/** The same in words, for who cannot see the line. */
function laneWords(lane: PlanLane, zone: string): string {
  const marks = marksAt(lane).map(
    ({ at, aspects }) =>
      `${aspects.map((aspect) => ASPECT_NAMES[aspect]).join(', ')} by ${dayAndTimeIn(at, zone)}`,
  );
  return marks.length > 0 ? `; ${marks.join('; ')}` : '';
}

interface Props {
  readonly view: PlanView;
  readonly zone: string;
}

/** When who can sit, and when they see what: one row for each lane, drawn over the days. */
export function TimeLine({ view, zone }: Props) {
  const span = spanOf(view, zone);
  const leakOf = (index: number) => {
    const leaks = view.leaks.filter((leak) => leak.hearers === index && leak.kind === 'others');
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
          <div className="relative h-5">
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
          <li key={index} className={`plan-lane border-b border-hair ${leakOf(index) ? 'bg-wash' : ''}`}>
            <div className="py-1 pr-2 pl-1">
              <p className="leading-tight font-semibold">{lane.name}</p>
              <p className="caption figures leading-tight">
                {lane.students > 1 && `${count(lane.students, 'student')}, `}
                {windowWords(lane, zone)}
                <span className="sr-only">{laneWords(lane, zone)}</span>
              </p>
            </div>
            {span && <Bar lane={lane} span={span} zone={zone} leak={leakOf(index)} />}
          </li>
        ))}
      </ul>
      {span && (
        <p className="caption mt-1 flex flex-wrap gap-x-5" aria-hidden>
          <span>▭ can take it</span>
          <span>
            <span className="mr-1 inline-block size-2 rotate-45 bg-saffron" />
            results, for work collected at the end
          </span>
          <span>
            <span className="mr-1 inline-block size-2 rotate-45 bg-petrol" />
            right answers
          </span>
          {view.leaks.length > 0 && <span>▨ others can tell them</span>}
        </p>
      )}
    </div>
  );
}
