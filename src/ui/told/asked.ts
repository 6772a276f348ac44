import type { AttemptRule, LateRule } from '@/core/quiz/rules';
import type { Cover } from '@/core/reveal/packets';

/** What the words of results and rules are asked for. */

export type Counts = AttemptRule['counts'];
type ToCome = Cover['plan'][number]['for'][number];
export type Wait = ToCome['for'];
export type Scope = NonNullable<ToCome['scope']>;
export type DelayUnit = NonNullable<ToCome['delay']>['unit'];

/** What being late costs, and of which points. */
export type Late = LateRule;
export type LateOf = Extract<LateRule, { kind: 'steps' }>['of'];
