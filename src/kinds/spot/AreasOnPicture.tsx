import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Fraction } from '@/core/figures/fraction';
import {
  boxOf,
  handlesOf,
  movedShape,
  shapeBetween,
  withCorner,
  withHandleAt,
  withoutCorner,
} from '@/core/kinds/spot/edit';
import type { Area, Shape, SpotQuestion } from '@/core/kinds/spot/schema';
import { Picture } from '@/ui/widgets/paper/Picture';
import { AreaShape } from '@/ui/widgets/paper/AreaShape';
import { inPercent, placeIn, stepOf, styleAt } from './picture';

type Place = { readonly x: number; readonly y: number };

/** What a pointer is doing on the picture, until it is let go. */
type Doing =
  | { readonly what: 'draw'; readonly from: Place; readonly shape: Shape | null }
  | { readonly what: 'move'; readonly area: Area; readonly from: Place; readonly shape: Shape }
  | { readonly what: 'resize'; readonly area: Area; readonly handle: number; readonly shape: Shape };

interface Props {
  readonly picture: NonNullable<SpotQuestion['picture']>;
  readonly areas: readonly Area[];
  readonly rim: Fraction | null;
  /** What is drawn on an empty place. */
  readonly tool: Shape['kind'];
  readonly hand: string | null;
  readonly onHand: (id: string | null) => void;
  readonly onShape: (area: Area, shape: Shape) => void;
  readonly onDraw: (shape: Shape) => void;
  readonly onRemove: (area: Area) => void;
}

export const areaName = (area: Area, at: number): string => area.name.trim() || `area ${at + 1}`;

/** Smaller than this, in thousandths, a press was no drawing. */
const LEAST = 10;

/** What becomes of the shape at hand when the pointer is there. */
function shapeAt(doing: Doing, place: Place, tool: Shape['kind']): Shape | null {
  switch (doing.what) {
    case 'draw': {
      const far = Math.abs(place.x - doing.from.x) >= LEAST && Math.abs(place.y - doing.from.y) >= LEAST;
      return far ? shapeBetween(tool, doing.from, place) : null;
    }
    case 'move':
      return movedShape(doing.area.shape, place.x - doing.from.x, place.y - doing.from.y);
    case 'resize':
      return withHandleAt(doing.area.shape, doing.handle, place);
  }
}

interface HandlesProps {
  readonly area: Area;
  readonly name: string;
  readonly shape: Shape;
  readonly onGrip: (handle: number) => void;
  readonly onShape: (shape: Shape) => void;
}

/** The corners of the area in hand: dragged, or moved by arrow keys; a polygon's can be added and taken away. */
function Handles({ area, name, shape, onGrip, onShape }: HandlesProps) {
  const keys = (handle: number, place: Place) => (event: KeyboardEvent) => {
    const step = stepOf(event);
    if (step) {
      event.preventDefault();
      onShape(withHandleAt(shape, handle, { x: place.x + step.dx, y: place.y + step.dy }));
    } else if (event.key === 'Delete' && shape.kind === 'polygon') {
      event.preventDefault();
      event.stopPropagation();
      onShape(withoutCorner(shape, handle));
    }
  };
  const handles = handlesOf(shape);
  return (
    <>
      {handles.map((place, at) => (
        <button
          key={at}
          type="button"
          className="area-handle"
          style={styleAt(place)}
          aria-label={`Corner ${at + 1} of ${name}: ${inPercent(place.x)} from the left, ${inPercent(place.y)} from the top`}
          onKeyDown={keys(at, place)}
          onPointerDown={(event) => {
            event.stopPropagation();
            onGrip(at);
          }}
        />
      ))}
      {shape.kind === 'polygon' &&
        handles.map((place, at) => {
          const next = handles[(at + 1) % handles.length] ?? place;
          return (
            <button
              key={`side-${at}`}
              type="button"
              className="area-handle area-handle-new"
              style={styleAt({ x: (place.x + next.x) / 2, y: (place.y + next.y) / 2 })}
              aria-label={`Add a corner behind corner ${at + 1} of ${name}`}
              onPointerDown={(event) => event.stopPropagation()}
              onClick={() => area.shape.kind === 'polygon' && onShape(withCorner(area.shape, at))}
            >
              +
            </button>
          );
        })}
    </>
  );
}

/** Drawing, moving and resizing by pointer: what is being done, and the shape of each area meanwhile. */
function usePointer({
  tool,
  onHand,
  onShape,
  onDraw,
}: Pick<Props, 'tool' | 'onHand' | 'onShape' | 'onDraw'>) {
  const surface = useRef<HTMLDivElement>(null);
  const [doing, setDoing] = useState<Doing | null>(null);
  const begin = (event: PointerEvent, make: (place: Place) => Doing) => {
    if (!surface.current || event.button !== 0) return;
    surface.current.setPointerCapture(event.pointerId);
    setDoing(make(placeIn(surface.current, event)));
  };
  const go = (event: PointerEvent) => {
    if (!doing || !surface.current) return;
    const shape = shapeAt(doing, placeIn(surface.current, event), tool);
    setDoing(doing.what === 'draw' ? { ...doing, shape } : { ...doing, shape: shape ?? doing.shape });
  };
  const end = () => {
    setDoing(null);
    if (!doing) return;
    if (doing.what !== 'draw') {
      if (doing.shape !== doing.area.shape) onShape(doing.area, doing.shape);
    } else if (doing.shape) onDraw(doing.shape);
    else onHand(null);
  };
  const stop = () => setDoing(null);
  const grip = (area: Area, handle: number) => setDoing({ what: 'resize', area, handle, shape: area.shape });
  const shapeOf = (area: Area): Shape =>
    doing && doing.what !== 'draw' && doing.area.id === area.id ? doing.shape : area.shape;
  const drawn = doing?.what === 'draw' ? doing.shape : null;
  return { surface, begin, go, end, stop, grip, shapeOf, drawn };
}

interface AreaProps {
  readonly name: string;
  /** As it is drawn now. */
  readonly shape: Shape;
  readonly size: { readonly width: number; readonly height: number };
  /** How wide the rim is drawn, in pixels of the picture; 0 for none. */
  readonly rim: number;
  readonly inHand: boolean;
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onPress: (event: PointerEvent) => void;
}

/** One area on the picture: taken in hand, moved and deleted by keys as by pointer. */
function AreaOnPicture({ name, shape, size, rim, inHand, onKey, onPress }: AreaProps) {
  const { left, top, right, bottom } = boxOf(shape);
  return (
    <g
      role="button"
      tabIndex={0}
      className="area-shape"
      aria-pressed={inHand}
      aria-label={`${name}: from ${inPercent(left)} / ${inPercent(top)} to ${inPercent(right)} / ${inPercent(bottom)}`}
      onKeyDown={onKey}
      onPointerDown={onPress}
    >
      {rim > 0 && (
        <AreaShape shape={shape} size={size} className="area-rim" strokeWidth={rim} strokeLinejoin="round" />
      )}
      <AreaShape shape={shape} size={size} className={`area-outline ${inHand ? 'area-in-hand' : ''}`} />
    </g>
  );
}

/** What the keys do with an area that has the focus. */
const areaKeys =
  (
    area: Area,
    { hand, onHand, onShape, onRemove }: Pick<Props, 'hand' | 'onHand' | 'onShape' | 'onRemove'>,
  ) =>
  (event: KeyboardEvent) => {
    const step = stepOf(event);
    const presses = event.key === 'Enter' || event.key === ' ';
    if (!step && !presses && event.key !== 'Delete') return;
    event.preventDefault();
    if (step) onShape(area, movedShape(area.shape, step.dx, step.dy));
    else if (presses) onHand(hand === area.id ? null : area.id);
    else onRemove(area);
  };

/** The picture with its areas: drawn, moved and resized by pointer or keys. */
export function AreasOnPicture(props: Props) {
  const { picture, areas, rim, hand, onHand, onShape } = props;
  const { surface, begin, go, end, stop, grip, shapeOf, drawn } = usePointer(props);
  const size = { width: picture.width, height: picture.height };
  const rimWidth = rim ? (2 * rim.n * Math.min(size.width, size.height)) / rim.d : 0;
  const inHand = areas.find(({ id }) => id === hand);
  return (
    <div
      ref={surface}
      className="spot-picture cursor-crosshair touch-none"
      onPointerDown={(event) => begin(event, (from) => ({ what: 'draw', from, shape: null }))}
      onPointerMove={go}
      onPointerUp={end}
      onPointerCancel={stop}
    >
      <Picture picture={picture} fills />
      <svg
        className="absolute inset-0 size-full"
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
      >
        {areas.map((area, at) => (
          <AreaOnPicture
            key={area.id}
            name={areaName(area, at)}
            shape={shapeOf(area)}
            size={size}
            rim={rimWidth}
            inHand={area.id === hand}
            onKey={areaKeys(area, props)}
            onPress={(event) => {
              event.stopPropagation();
              onHand(area.id);
              begin(event, (from) => ({ what: 'move', area, from, shape: area.shape }));
            }}
          />
        ))}
        {drawn && <AreaShape shape={drawn} size={size} className="area-outline area-in-hand" />}
      </svg>
      {areas.map((area, at) => {
        const { left, top } = boxOf(shapeOf(area));
        return (
          <span
            key={area.id}
            className="area-number figures"
            style={styleAt({ x: left, y: top })}
            aria-hidden
          >
            {at + 1}
          </span>
        );
      })}
      {inHand && (
        <Handles
          area={inHand}
          name={areaName(inHand, areas.indexOf(inHand))}
          shape={shapeOf(inHand)}
          onShape={(shape) => onShape(inHand, shape)}
          onGrip={(handle) => grip(inHand, handle)}
        />
      )}
    </div>
  );
}
