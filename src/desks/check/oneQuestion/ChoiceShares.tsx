import type { PickedChoice } from '@/core/checking/classPicture';
import type { Worth } from '@/core/kinds/classFace';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { percent } from '@/ui/words/figures';
import type { OpenedPicture } from '@/workers/classDesk';
import type { PictureProps } from './picture';
import { nameOf, ThingName } from './ThingName';

type SharesPicture = Extract<OpenedPicture['picture'], { form: 'shares' }>;

const CREDIT: Readonly<Record<Worth, { n: number; d: number }>> = {
  right: { n: 1, d: 1 },
  partly: { n: 1, d: 2 },
  wrong: { n: 0, d: 1 },
};
const WORTH: Readonly<Record<Worth, string>> = { right: 'right', partly: 'partly right', wrong: 'wrong' };

const inPercent = (share: number): string => percent({ n: Math.round(share * 100), d: 100 });

/** A share as a bar with its figure. */
const Bar = ({
  share,
  worth,
  strong,
}: {
  readonly share: number;
  readonly worth: Worth;
  readonly strong?: true;
}) => (
  <span className="flex items-center gap-2">
    <span aria-hidden className="h-2.5 flex-1 bg-hair">
      <span
        className={`graphic block h-full ${worth === 'wrong' ? 'bg-[var(--none)]' : worth === 'right' ? 'bg-petrol' : 'bg-saffron'}`}
        style={{ width: `${share * 100}%` }}
      />
    </span>
    <span className={`figures w-10 text-right text-[13px] ${strong ? 'font-semibold' : 'text-soft'}`}>
      {inPercent(share)}
    </span>
  </span>
);

const THIRDS = [
  ['lower', 'Lower third'],
  ['middle', 'Middle third'],
  ['upper', 'Upper third'],
] as const;

interface ChoiceProps extends Pick<PictureProps, 'pressed' | 'onPress'> {
  readonly choice: PickedChoice;
  readonly group: string;
  readonly byThirds: boolean;
}

function Choice({ choice, group, byThirds, pressed, onPress }: ChoiceProps) {
  const { thing, worth, part, shares, who } = choice;
  const what = `${group && `${group}: `}“${nameOf(thing)}”`;
  return (
    <tr className="border-b border-hair">
      <th scope="row" className="max-w-72 py-0 pr-3 text-left font-medium">
        <button
          type="button"
          className={`flex min-h-9 w-full cursor-pointer items-center gap-2.5 text-left ${pressed === what ? 'bg-wash' : 'hover:bg-hair'}`}
          aria-pressed={pressed === what}
          onClick={() => onPress({ what, who, part, isRight: worth === 'right' })}
        >
          <CreditPie credit={CREDIT[worth]} label="" />
          <span className="sr-only">{WORTH[worth]}: </span>
          <span className="min-w-0 flex-1 break-words">
            <ThingName thing={thing} />
          </span>
          <span className="figures text-[13.5px] font-semibold">{who.length}</span>
        </button>
      </th>
      <td className="w-[26%] min-w-24 px-2">
        <Bar share={shares.all} worth={worth} strong />
      </td>
      {byThirds &&
        THIRDS.map(([third]) => (
          <td key={third} className="w-[13%] px-2 max-sm:hidden">
            {shares.thirds && <Bar share={shares.thirds[third]} worth={worth} />}
          </td>
        ))}
    </tr>
  );
}

/** How many picked what, in the whole class and in its thirds by total. */
export function ChoiceShares({
  picture,
  pressed,
  onPress,
}: PictureProps & { readonly picture: SharesPicture }) {
  const byThirds = picture.groups.some(({ choices }) => choices.some(({ shares }) => shares.thirds));
  return (
    <>
      <table className="w-full border-collapse text-[14px]" aria-label="Who picked what">
        <thead>
          <tr className="border-b border-line text-left text-[12.5px] text-soft">
            <th className="pb-1 font-normal">
              <span className="sr-only">Option</span>
            </th>
            <th className="px-2 pb-1 font-normal">All</th>
            {byThirds &&
              THIRDS.map(([third, words]) => (
                <th key={third} className="px-2 pb-1 font-normal max-sm:hidden">
                  {words}
                </th>
              ))}
          </tr>
        </thead>
        {picture.groups.map(({ title, choices }) => (
          <tbody key={title}>
            {title && (
              <tr>
                <th
                  scope="rowgroup"
                  colSpan={byThirds ? 5 : 2}
                  className="pt-3 pb-1 text-left text-[14px] font-semibold"
                >
                  <ThingName thing={{ text: title, picture: null }} />
                </th>
              </tr>
            )}
            {choices.map((choice, at) => (
              <Choice
                key={at}
                choice={choice}
                group={title}
                byThirds={byThirds}
                pressed={pressed}
                onPress={onPress}
              />
            ))}
          </tbody>
        ))}
      </table>
      {byThirds && (
        <p className="caption mt-1.5 max-sm:hidden">
          Thirds by the points of the questions that count, of {picture.inThirds} papers that are wholly
          marked; equal totals share the places at a cut.
        </p>
      )}
    </>
  );
}
