import { useId, useMemo } from 'react';
import { WHOLE } from '@/core/kinds/ground';
import { AreaShape } from '@/ui/widgets/paper/AreaShape';
import { Picture } from '@/ui/widgets/paper/Picture';
import { count } from '@/ui/words/figures';
import type { OpenedPicture } from '@/workers/classDesk';
import type { PictureProps, Pressed } from './picture';

type SpotsPicture = Extract<OpenedPicture['picture'], { form: 'spots' }>;
type Spot = SpotsPicture['spots'][number];

/** Spots nearer to each other than this, in thousandths, are drawn as one that is hotter. */
const CELL = 25;

interface Heat {
  readonly x: number;
  readonly y: number;
  readonly spots: number;
}

/** Spots gathered by where they lie, so that thousands draw as fast as ten. */
function heatOf(spots: readonly Spot[]): Heat[] {
  const cells = new Map<string, { x: number; y: number; spots: number }>();
  for (const { x, y } of spots) {
    const key = `${Math.floor(x / CELL)} ${Math.floor(y / CELL)}`;
    const cell = cells.get(key) ?? { x: 0, y: 0, spots: 0 };
    cells.set(key, cell);
    cell.x += x;
    cell.y += y;
    cell.spots++;
  }
  return [...cells.values()].map((cell) => ({ ...cell, x: cell.x / cell.spots, y: cell.y / cell.spots }));
}

/** All spots of the class on the picture: the more lie close together, the fuller the colour; in words below. */
export function SpotsOnPicture({
  picture: { spots },
  opened: { ground },
  pressed,
  onPress,
}: PictureProps & { readonly picture: SpotsPicture }) {
  const glow = useId();
  const heat = useMemo(() => heatOf(spots), [spots]);
  if (!ground) return <p className="text-soft">The question has no picture.</p>;
  const size = { width: ground.picture.width, height: ground.picture.height };
  const most = heat.reduce((max, one) => Math.max(max, one.spots), 1);
  const radius = Math.max(size.width, size.height) / 28;
  const whoIn = (area: string | null) => [
    ...new Set(spots.filter((spot) => spot.area === area).map(({ attemptId }) => attemptId)),
  ];
  const groups: Pressed[] = [
    ...ground.areas.map(({ id, name, credit }, at): Pressed => ({
      what: `In “${name.trim() || `area ${at + 1}`}”`,
      who: whoIn(id),
      part: { part: '', given: id },
      isRight: credit.n === credit.d,
    })),
    { what: 'Outside every area', who: whoIn(null), part: null, isRight: false },
  ];
  return (
    <>
      <div className="spot-picture !cursor-default max-w-[640px]">
        <Picture picture={ground.picture} fills />
        <svg
          className="absolute inset-0 size-full"
          viewBox={`0 0 ${size.width} ${size.height}`}
          preserveAspectRatio="none"
          aria-hidden
        >
          <radialGradient id={glow}>
            <stop offset="0" stopColor="#b25e00" stopOpacity="1" />
            <stop offset="0.45" stopColor="#d08a14" stopOpacity="0.75" />
            <stop offset="1" stopColor="#d08a14" stopOpacity="0" />
          </radialGradient>
          {ground.areas.map((area) => (
            <AreaShape key={area.id} shape={area.shape} size={size} className="area-outline" />
          ))}
          {heat.map(({ x, y, spots: here }, at) => (
            <circle
              key={at}
              cx={(x * size.width) / WHOLE}
              cy={(y * size.height) / WHOLE}
              r={radius * (0.6 + 0.6 * Math.sqrt(here / most))}
              fill={`url(#${glow})`}
              opacity={0.45 + 0.55 * (here / most)}
            />
          ))}
        </svg>
      </div>
      <ul className="mt-2 flex flex-wrap gap-x-5 text-[14px]">
        {groups.map((group) => (
          <li key={group.what}>
            <button
              type="button"
              aria-pressed={pressed === group.what}
              className={`min-h-[28px] cursor-pointer ${pressed === group.what ? 'font-semibold' : 'hover:underline'}`}
              onClick={() => onPress(group)}
            >
              {group.what}: <span className="figures">{count(group.who.length, 'student')}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
