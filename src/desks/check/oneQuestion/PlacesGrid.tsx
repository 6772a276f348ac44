import type { PutThere } from '@/core/checking/classPicture';
import { count } from '@/ui/words/figures';
import type { OpenedPicture } from '@/workers/classDesk';
import type { PictureProps } from './picture';
import { nameOf, ThingName } from './ThingName';

type PlacesPicture = Extract<OpenedPicture['picture'], { form: 'places' }>;

interface CellProps extends Pick<PictureProps, 'pressed' | 'onPress'> {
  readonly cell: PutThere;
  /** How many were put anywhere in its row. */
  readonly of: number;
  readonly what: string;
}

/** How many put one thing in one place: the more, the fuller; where it is right, with a frame. */
function Cell({ cell: { isRight, part, who }, of, what, pressed, onPress }: CellProps) {
  const share = of === 0 ? 0 : who.length / of;
  return (
    <td className="p-[2px]">
      <button
        type="button"
        aria-pressed={pressed === what}
        aria-label={`${what}: ${count(who.length, 'student')}${isRight ? ', right' : ''}`}
        className={`figures relative flex h-9 w-full min-w-10 cursor-pointer items-center justify-center text-[14px] ${isRight ? 'border-2 border-petrol font-semibold' : 'border border-hair'} ${pressed === what ? 'outline-2 outline-saffron' : ''}`}
        onClick={() => onPress({ what, who, part, isRight })}
      >
        <span
          aria-hidden
          className={`graphic absolute inset-0 ${isRight ? 'bg-petrol' : 'bg-saffron'}`}
          style={{ opacity: share * 0.42 }}
        />
        <span className={`relative ${who.length === 0 ? 'text-soft' : ''}`}>{who.length || '·'}</span>
      </button>
    </td>
  );
}

/** Who put what where: things below each other, places side by side. */
export function PlacesGrid({
  picture,
  pressed,
  onPress,
}: PictureProps & { readonly picture: PlacesPicture }) {
  const { things, places, cells } = picture;
  return (
    <>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Who put what where">
        <table className="border-collapse text-[14px]">
          <thead>
            <tr className="align-bottom">
              <td />
              {places.map((place, at) => (
                <th key={at} scope="col" className="max-w-32 px-1.5 pb-1 text-center text-[13px] font-medium">
                  <ThingName thing={place} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {things.map((thing, at) => {
              const row = cells[at] ?? [];
              const of = row.reduce((sum, { who }) => sum + who.length, 0);
              return (
                <tr key={at}>
                  <th scope="row" className="max-w-56 min-w-24 py-0 pr-3 text-left font-medium">
                    <ThingName thing={thing} />
                  </th>
                  {row.map((cell, place) => (
                    <Cell
                      key={place}
                      cell={cell}
                      of={of}
                      what={`“${nameOf(thing)}” to “${nameOf(places[place] ?? { text: '', picture: null })}”`}
                      pressed={pressed}
                      onPress={onPress}
                    />
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="caption mt-1.5">How many put what where. What is right has a frame.</p>
    </>
  );
}
