import { useSitPress } from '../useSitPress';

interface Props {
  /** The attempts that are over. */
  readonly numbers: readonly number[];
  /** Fails where what is typed could not be saved first. */
  readonly onLook: (attempt: number) => Promise<void>;
}

function Way({ number, onLook }: { readonly number: number } & Pick<Props, 'onLook'>) {
  const look = useSitPress(() => onLook(number));
  return (
    <>
      <button
        type="button"
        className="min-h-11 cursor-pointer text-petrol underline underline-offset-2"
        disabled={look.busy}
        onClick={look.start}
      >
        Results of attempt {number}
      </button>
      {look.failed && (
        <span role="alert" className="text-saffron-text">
          An answer is not saved yet: try again in a moment.
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
