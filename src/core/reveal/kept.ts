import { ASPECTS, type Condition, type Kept } from '../quiz/plan/plan';
import { scopeKey } from './everyone';
import { namedGroups, type Reveal, type Scene } from './whatIsShown';

type Everyone = Extract<Condition, { when: 'allClosed' | 'allDone' }>;

/** The conditions over everyone that a quiz's plans have, each once for a scope. */
function everyones({ plan, ownPlans }: Pick<Scene, 'plan' | 'ownPlans'>): Pick<Everyone, 'when' | 'scope'>[] {
  const conditions = [plan.aspects, ...ownPlans.map((own) => own.aspects)].flatMap((aspects) =>
    ASPECTS.flatMap((aspect): readonly Condition[] => {
      const when = aspects[aspect]?.when ?? 'never';
      return when === 'never' ? [] : when;
    }),
  );
  const found = new Map(
    conditions.flatMap((one) =>
      one.when === 'allClosed' || one.when === 'allDone'
        ? [[`${one.when} ${one.scope}`, { when: one.when, scope: one.scope }] as const]
        : [],
    ),
  );
  return [...found.values()];
}

/**
 * The conditions over everyone that hold at an instant and are not kept yet: before something is done for one student they
 * are kept, so that it takes nothing from the others.
 */
export function conditionsHeld(reveal: Reveal): Kept[] {
  const { scene } = reveal;
  const groups = namedGroups(scene);
  const made = new Map<string, Kept>();
  for (const { when, scope } of everyones(scene)) {
    for (const own of reveal.listed()) {
      const of = scopeKey(own.seat, scope, groups);
      const key = JSON.stringify([when, scope, of]);
      if (made.has(key) || reveal.keptSince(own, when, scope) !== null) continue;
      const since = reveal.everyonesSince(own, when, scope);
      if (since !== null) made.set(key, { when, scope, of, since });
    }
  }
  return [...made.values()];
}

/** Whether a plan has anything that waits for others than the student who looks. */
export const asksForOthers = (scene: Pick<Scene, 'plan' | 'ownPlans'>): boolean =>
  everyones(scene).length > 0;
