import { X } from '@/ui/widgets/icons';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { flushSync } from 'react-dom';
import { movedPoint, placeOf, pointAt, WHOLE } from '@/core/kinds/spot/places';
import type { Point } from '@/core/kinds/spot/schema';
import { Picture } from '@/ui/widgets/paper/Picture';
import type { Told } from '@/ui/told/en';
import { useTold } from '@/ui/told/useTold';
import type { SitProps } from '../faces';
import { useSaying } from '../shared/sit/useSaying';
import { inPercent, placeIn, stepOf, styleAt } from './picture';

/** Where a spot is, as it is spoken. */
function spoken({ at }: Told['spotting'], spot: Point): string {
  const { x, y } = placeOf(spot);
  return at(inPercent(x), inPercent(y));
}

interface MarkerProps {
  readonly spot: Point;
  readonly number: number;
  readonly picture: () => Element | null;
  readonly onMove: (spot: Point) => void;
  readonly onRemove: () => void;
}

/** A spot on the picture: dragged, or moved by arrow keys; Delete takes it away. */
function Marker({ spot, number, picture, onMove, onRemove }: MarkerProps) {
  // While it is dragged it follows the pointer; it is given when it is let go.
  const { spotting } = useTold();
  const [dragged, setDragged] = useState<Point | null>(null);
  const shown = dragged ?? spot;
  const follow = (event: PointerEvent): Point | null => {
    const on = picture();
    if (!on) return null;
    const { x, y } = placeIn(on, event);
    return pointAt(x, y);
  };
  const keys = (event: KeyboardEvent) => {
    const step = stepOf(event);
    if (step) {
      event.preventDefault();
      onMove(movedPoint(spot, step.dx, step.dy));
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onRemove();
    }
  };
  return (
    <button
      type="button"
      data-spot={number}
      className="spot-marker"
      style={styleAt(placeOf(shown))}
      aria-label={`${spotting.spot(number)}: ${spoken(spotting, shown)}`}
      title={spotting.how}
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setDragged(spot);
      }}
      onPointerMove={(event) => dragged && setDragged(follow(event))}
      onPointerUp={(event) => {
        const to = dragged && follow(event);
        setDragged(null);
        if (to) onMove(to);
      }}
      onPointerCancel={() => setDragged(null)}
      onClick={(event) => event.stopPropagation()}
    >
      {number}
    </button>
  );
}

/** Spots are set on the picture: by a press, or by keyboard from its middle. */
export default function SpotSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const picture = useRef<HTMLDivElement>(null);
  const { spotting } = useTold();
  const { say, said } = useSaying();
  const place = useRef<HTMLDivElement>(null);
  if (face.kind !== 'spot') return null;
  if (!face.picture) return <p className="text-soft">{spotting.noPicture}</p>;
  const spots = answer?.kind === 'spot' ? answer.spots : [];
  const put = (next: readonly Point[]) =>
    onAnswer(next.length === 0 ? null : { kind: 'spot', spots: [...next] });
  const set = (at: number, spot: Point) => {
    put(at < spots.length ? spots.map((one, index) => (index === at ? spot : one)) : [...spots, spot]);
    say(`${spotting.spot(at + 1)}: ${spoken(spotting, spot)}.`);
  };
  const remove = (at: number) => {
    flushSync(() => put(spots.filter((_, index) => index !== at)));
    say(spotting.taken(at + 1));
    // What could be pressed has gone: the press that sets one takes over.
    place.current?.querySelector<HTMLElement>('.btn')?.focus();
  };
  const left = face.asked - spots.length;
  return (
    <div ref={place} role="group" aria-labelledby={labelledBy}>
      <p className="caption mb-2">
        {face.asked === 1
          ? spotting.one
          : spotting.several(face.asked, left > 0 && spots.length > 0 ? left : null)}
      </p>
      <div
        ref={picture}
        className="spot-picture"
        onClick={(event) => {
          if (!picture.current || (left <= 0 && face.asked > 1)) return;
          const { x, y } = placeIn(picture.current, event);
          set(left > 0 ? spots.length : 0, pointAt(x, y));
        }}
      >
        <Picture picture={face.picture} fills />
        {spots.map((spot, at) => (
          <Marker
            key={at}
            spot={spot}
            number={at + 1}
            picture={() => picture.current}
            onMove={(to) => set(at, to)}
            onRemove={() => remove(at)}
          />
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        {left > 0 && (
          <button
            type="button"
            className="btn btn-outline h-11 px-4 text-[15px]"
            onClick={() => {
              flushSync(() => set(spots.length, pointAt(WHOLE / 2, WHOLE / 2)));
              picture.current?.querySelector<HTMLButtonElement>(`[data-spot="${spots.length + 1}"]`)?.focus();
            }}
          >
            {spotting.byKeys}
          </button>
        )}
        {spots.map((spot, at) => (
          <span key={at} className="figures inline-flex items-center gap-1">
            {spotting.spot(at + 1)}: {spoken(spotting, spot)}
            <button
              type="button"
              className="icon-button min-h-9 min-w-9"
              aria-label={spotting.take(at + 1)}
              onClick={() => remove(at)}
            >
              <X size={15} aria-hidden />
            </button>
          </span>
        ))}
      </div>
      {said}
    </div>
  );
}
