import type { CheckRow, ShownBundle } from '@/workers/classDesk';

/** The papers that are shown, by attempt. */
export type Rows = ReadonlyMap<string, CheckRow>;

/** What stands beside each other for one question, or one of its gaps. */
export interface Beside {
  /** `Gap 2`; empty for a question as a whole. */
  readonly part: string;
  readonly partId: string | null;
  readonly questionId: string;
  /** All bundles of it that are shown. */
  readonly all: readonly ShownBundle[];
  /** Whether they can be put together and taken apart: what is typed can, what is picked cannot. */
  readonly typed: boolean;
  /** Whether the bundle at hand is one of these. */
  readonly inHand: boolean;
}
