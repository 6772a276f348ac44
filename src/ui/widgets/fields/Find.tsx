interface FindProps {
  /** Such as *Find a student*. */
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** A field by whose text the rows beside it are found. */
export const FindField = ({ label, value, onChange }: FindProps) => (
  <input
    type="search"
    className="lined-field !w-56 max-sm:!w-44"
    aria-label={label}
    placeholder={label}
    value={value}
    onChange={(event) => onChange(event.target.value)}
  />
);

interface PickProps<Value extends string> {
  /** The words before the choice. */
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [value: Value, words: string])[];
  readonly onChange: (value: Value) => void;
}

/** A choice at the end of a few words: by what rows are sorted, or among which they are looked for. */
export const PickLine = <Value extends string>({ label, value, options, onChange }: PickProps<Value>) => (
  <label className="text-soft">
    {label}{' '}
    <select
      className="sentence-part"
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as Value)}
    >
      {options.map(([one, words]) => (
        <option key={one} value={one}>
          {words}
        </option>
      ))}
    </select>
  </label>
);

export interface FindAndSortProps<Order extends string> {
  readonly search: string;
  readonly onSearch: (search: string) => void;
  readonly sort: Order;
  readonly onSort: (sort: Order) => void;
}

/** What finds and sorts a list of students. */
export const FindAndSort = <Order extends string>({
  search,
  onSearch,
  sort,
  onSort,
  orders,
}: FindAndSortProps<Order> & { readonly orders: PickProps<Order>['options'] }) => (
  <>
    <FindField label="Find a student" value={search} onChange={onSearch} />
    <PickLine label="Sorted by" value={sort} options={orders} onChange={onSort} />
  </>
);
