import { useMemo, useState } from 'react';
import { count } from '@/ui/words/figures';
import type { BundleGroup, ShownBundle } from '@/workers/classDesk';
import { ALONE, type Judged } from '../judged';
import { groupsOf, inBundle } from './bundles';
import type { Pressed } from './picture';

/** A bundle where it stands: those of a gap follow each other. */
export interface Stop {
  readonly group: BundleGroup;
  readonly bundle: ShownBundle;
}

interface At {
  readonly questionId: string;
  /** The gap at hand; null for a question as a whole. */
  readonly part: string | null;
  /** What was pressed in the picture of the class; null for nothing. */
  readonly pressed: Pressed | null;
}

/** What the margin's presses are about: what was pressed in the picture, the gap's bundle, or answers with their look-alikes. */
function judgedAt(own: Stop | undefined, pressed: Pressed | null): Judged {
  if (pressed?.part) {
    const words = `${pressed.what}, ${count(pressed.who.length, 'student')}`;
    return { what: 'part', parts: [pressed.part], words, isRight: pressed.isRight };
  }
  if (!own) return ALONE;
  const { group, bundle } = own;
  if (group.id === null) return { what: 'answers', alike: bundle.answers };
  const { text, others, parts, mark } = bundle;
  const more =
    others.length > 0 ? ` and ${count(others.length, 'other way', 'other ways')} of writing it` : '';
  return {
    what: 'part',
    parts: text === '' ? [] : parts,
    words: text === '' ? `${group.part}: no answer` : `${group.part}: “${text}”${more}`,
    isRight: mark.verdict === 'right',
  };
}

/** Which bundle, gap or part of a question is at hand beside the paper that is. */
export function useAtHand(questionId: string, groups: readonly BundleGroup[] | null, attemptId: string) {
  const [at, setAt] = useState<At>({ questionId, part: null, pressed: null });
  const first = groups?.[0]?.id ?? null;
  const { part, pressed } =
    at.questionId === questionId && (at.part !== null || first === null)
      ? at
      : { part: first, pressed: at.questionId === questionId ? at.pressed : null };
  const stops = useMemo(
    () =>
      (groups ?? []).flatMap((group) =>
        groupsOf(group.bundles).flatMap(({ bundles }) => bundles.map((bundle): Stop => ({ group, bundle }))),
      ),
    [groups],
  );
  const own = stops.find(({ group, bundle }) => group.id === part && inBundle(bundle, attemptId) !== null);
  const judged = useMemo(() => judgedAt(own, pressed), [own, pressed]);
  return {
    part,
    pressed,
    stops,
    own,
    judged,
    /** Turns to a gap, or to the question as a whole. */
    turnTo: (next: string | null) => setAt({ questionId, part: next, pressed: null }),
    press: (next: Pressed | null) => setAt({ questionId, part, pressed: next }),
  };
}
