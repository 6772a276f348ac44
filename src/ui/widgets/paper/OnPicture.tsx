import { placeWords } from '../../told/placeWords';
import { useTold } from '../../told/useTold';
import type { ShownAnswer } from '@/core/content/shownAnswer';
import { AreaShape } from './AreaShape';
import { Picture } from './Picture';

/** Spots and areas on their picture: spots by their numbers, areas by their outline, with their names below where they stand alone. */
export function OnPicture({
  answer: { picture, spots, areas, inside },
}: {
  readonly answer: Extract<ShownAnswer, { form: 'onPicture' }>;
}) {
  const { width, height } = picture;
  const { spotting } = useTold();
  return (
    <span className="mt-1 block max-w-[420px]">
      <span className="spot-picture block !cursor-default">
        <Picture picture={picture} fills />
        <svg
          className="absolute inset-0 size-full"
          viewBox={`0 0 ${width} ${height}`}
          preserveAspectRatio="none"
          aria-hidden
        >
          {areas.map(({ shape }, at) => (
            <AreaShape key={at} shape={shape} size={{ width, height }} className="area-outline" />
          ))}
        </svg>
        {spots.map(({ x, y }, at) => (
          <span
            key={at}
            className="spot-marker spot-marker-small"
            style={{ left: `${(x.n * 100) / x.d}%`, top: `${(y.n * 100) / y.d}%` }}
          >
            <span aria-hidden>{at + 1}</span>
            <span className="sr-only">
              {[spotting.spot(at + 1), inside[at], placeWords(spotting, { x, y })].filter(Boolean).join(': ')}
              .{' '}
            </span>
          </span>
        ))}
      </span>
      {areas.length > 0 && spots.length === 0 && (
        <span className="block font-semibold wrap-anywhere">{areas.map(({ name }) => name).join(', ')}</span>
      )}
    </span>
  );
}
