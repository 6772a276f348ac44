interface Props<Choice extends string> {
  /** How the sentence begins, which also names the choice. */
  readonly begin: string;
  readonly value: Choice;
  readonly options: Readonly<Record<Choice, string>>;
  /** What stands behind the choice. */
  readonly end?: string;
  readonly onChoose: (choice: Choice) => void;
}

/** A rule as a sentence in which one of a few ends is chosen. */
export const RuleSentence = <Choice extends string>({
  begin,
  value,
  options,
  end = '',
  onChoose,
}: Props<Choice>) => (
  <>
    {begin}{' '}
    <select
      className="sentence-part"
      aria-label={begin}
      value={value}
      onChange={({ target }) => onChoose(target.value as Choice)}
    >
      {(Object.entries(options) as [Choice, string][]).map(([choice, words]) => (
        <option key={choice} value={choice}>
          {words}
        </option>
      ))}
    </select>
    {end}
    {'. '}
  </>
);
