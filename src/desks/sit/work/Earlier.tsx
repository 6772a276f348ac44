import { useTold } from '@/ui/told/useTold';
import { useSitPress } from '../useSitPress';

interface Props {
  /** The attempts that are over. */
  readonly numbers: readonly number[];
  /** Fails where what is typed could not be saved first. */
  readonly onLook: (attempt: number) => Promise<void>;
}

function Way({ number, onLook }: { readonly number: number } & Pick<Props, 'onLook'>) {
  const look = useSitPress(() => onLook(number));
  const { work } = useTold();
  return (
    <>
      <button
        type="button"
        className="min-h-11 cursor-pointer text-petrol underline underline-offset-2"
        aria-disabled={look.busy}
        onClick={look.start}
      >
        {work.earlier(number)}
      </button>
      {look.failed && (
        <span role="alert" className="text-saffron-text">
          {work.earlierFailed}
        </span>
      )}
    </>
  );
}

/** The ways to the results of earlier attempts, while another one is worked at. */
export const Earlier = ({ numbers, onLook }: Props) =>
  numbers.length > 0 && (
    <p className="flex flex-wrap items-center gap-x-5 px-[18px] pb-4 text-[14.5px]">
      {numbers.map((number) => (
        <Way key={number} number={number} onLook={onLook} />
      ))}
    </p>
  );
