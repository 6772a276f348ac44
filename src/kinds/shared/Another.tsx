interface Props {
  readonly children: string;
  readonly onPress: () => void;
}

/** One more row at the end of a list. */
export const Another = ({ children, onPress }: Props) => (
  <button
    type="button"
    className="mt-2 cursor-pointer text-[14px] font-semibold text-petrol hover:underline"
    onClick={onPress}
  >
    {children}
  </button>
);
