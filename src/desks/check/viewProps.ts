import type { CheckRow, CheckTable } from '@/workers/classDesk';
import type { After } from './effect/after';
import type { Judged } from './judged';
import type { Place, SortBy } from './rows';

/** What every view of the same marks is given. */
export interface ViewProps {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  /** The questions in the order shown. */
  readonly columns: readonly number[];
  /** The class or group that is looked at; empty for everybody. */
  readonly whose: string;
  readonly sort: SortBy;
  readonly onSort: (sort: SortBy) => void;
  /** What the draft would make of it all. */
  readonly after: After;
  readonly place: Place;
  /** Grows whenever a place was gone to by key: it is brought into view and gets the focus. */
  readonly went: number;
  readonly onPlace: (place: Place) => void;
  /** What a press on Accept, Part or Wrong is about. */
  readonly onJudged: (judged: Judged) => void;
  /** A key pressed in the table; true where it was one that is known. */
  readonly onKey: (key: string) => boolean;
}
