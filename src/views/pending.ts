import { effectBetween, effectOfWork, underPaper, type WorkEffect } from '@/core/checking/effect';
import { gainOf, type ScoreChange } from '@/core/checking/gain';
import type { MarkedClass } from '@/core/checking/classWork';
import { cellsAfter, type CellsAfter } from '@/core/checking/effectCells';
import { histogram } from '@/core/checking/histogram';
import { compare, type Fraction } from '@/core/figures/fraction';
import { outOfPaper } from '@/core/quiz/points';
import { draftChanges, type DraftChange } from '@/core/quiz/draftChanges';
import { closedAt } from '@/core/quiz/times/closing';
import type { Opening, QuizContent } from '@/core/quiz/quiz';
import { attemptState, windowOfQuiz } from '@/core/quiz/times/window';
import { windowsOf } from '@/core/quiz/times/windowsOf';
import { markedToKeep } from '@/core/reveal/markedToKeep';
import { asksForMarks } from '@/core/reveal/markedAt';
import { now } from '@/device/clock';
import { db } from '@/store/records/db';
import { keyedSince, type KeyedStep } from '@/store/records/steps';
import { draftPaper, head } from '@/store/quiz/quizzes';
import { undoableRevision, type ShownState } from '@/store/quiz/revisions';
import { attemptsSeq } from '@/store/records/sequence';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, namesakes, disambiguator, type ClassPapers } from './papers';
import { newerRulesMove } from './newerRules';
import { revealOf } from './reveal';

export interface NamedChange extends ScoreChange {
  readonly name: string;
  /** Tells a student from another of the same name; empty for one name of its own. */
  readonly apart: string;
  /** True where the student has been shown the score that changes. */
  readonly seen: boolean;
}

/** More rows than anyone reads would only make the list slow. */
const MOST_NAMED = 300;

/** What waits in the draft, and what applying it would do. */
export interface Pending {
  readonly changes: readonly DraftChange[];
  /** How many changes a teacher would count: each answer that was keyed is one. */
  readonly count: number;
  /** What was keyed from the answers of the class, each of which can be dropped. */
  readonly keyed: readonly KeyedStep[];
  readonly up: number;
  readonly down: number;
  /** Of those whose score stays: whose answers waited and will wait no more, earning nothing; whose answers will wait. */
  readonly waitedInVain: number;
  readonly willWait: number;
  readonly unchanged: number;
  /** The first of those whose score or waiting points change: largest rise first, those who rise alike by name. */
  readonly students: readonly NamedChange[];
  /** All of them, by their ids. */
  readonly changed: readonly string[];
  /** How many more there are. */
  readonly more: number;
  /** The teacher's own scores for which marking would give something else than now. */
  readonly overridesDiffer: number;
  /** How many of those whose score changes have been shown the one from before. */
  readonly seen: number;
  /** What the table would hold once it is applied; null where nothing waits. */
  readonly cells: CellsAfter | null;
  /** What a full score would be out of. */
  readonly outOf: Fraction | null;
  /** Recorded scores by tenths of the maximum, those above it last, before and after: scores that are final in both. */
  readonly histogram: {
    readonly before: readonly number[];
    readonly after: readonly number[];
    readonly open: number;
  } | null;
  /** When the revision that counts was applied, where that can be undone. */
  readonly undoable: number | null;
  /** What this effect was worked out from: applying asks for it, and refuses where it has moved. */
  readonly shown: ShownState | null;
}

const nothing = (undoable: number | null): Pending => ({
  changes: [],
  count: 0,
  keyed: [],
  up: 0,
  down: 0,
  waitedInVain: 0,
  willWait: 0,
  unchanged: 0,
  students: [],
  changed: [],
  more: 0,
  overridesDiffer: 0,
  seen: 0,
  cells: null,
  outOf: null,
  histogram: null,
  undoable,
  shown: null,
});

/** The recorded scores of everyone in both, where they are final in both; `open` counts those that are not. */
function histograms(before: MarkedClass, after: MarkedClass): Pending['histogram'] {
  const then = new Map(after.students().map(({ studentId, recorded }) => [studentId, recorded]));
  const both = before.students().flatMap(({ studentId, recorded }) => {
    const next = then.get(studentId);
    return recorded && next ? [{ now: recorded, next }] : [];
  });
  const final = both.filter(({ now: one, next }) => !one.provisional && !next.provisional);
  return {
    before: histogram(final.map((one) => one.now)),
    after: histogram(final.map((one) => one.next)),
    open: both.length - final.length,
  };
}

/** Those of some students to whom their score is shown now. */
function seeingTheirScore(live: ClassPapers, those: ReadonlySet<string>): ReadonlySet<string> {
  const reveal = revealOf(live, now());
  const seeing = live.sheets.filter(
    ({ attempt: { id, studentId } }) =>
      those.has(studentId) && reveal.showing(studentId, id, 'score').state === 'shown',
  );
  return new Set(seeing.map(({ attempt }) => attempt.studentId));
}

/** What waits in the draft, and what applying it would do to everyone. */
export async function pending(quizId: string): Promise<Pending> {
  const undoable = (await undoableRevision(quizId))?.at ?? null;
  const before = await head(quizId);
  if (before.firstHandInAt === null || before.standing.live === null) return nothing(undoable);
  const seq = await attemptsSeq(quizId);
  const [live, draft] = [await liveClass(quizId), await draftPaper(quizId)];
  // Newer rules that change no score are no change that anybody would look at: the next one that is applied takes them.
  const changes = draftChanges(draft, live.paper).filter(
    ({ kind }) => kind !== 'comparing' || newerRulesMove(live),
  );
  if (changes.length === 0) return nothing(undoable);
  const after = underPaper(live.marked, draft);
  const effect = effectBetween(live.marked, after);
  const seeing = seeingTheirScore(live, new Set(effect.changes.map(({ studentId }) => studentId)));
  const twice = namesakes(live.students.values());
  const named = (change: ScoreChange): NamedChange => {
    const student = live.students.get(change.studentId);
    const name = student?.name ?? 'Removed student';
    return { ...change, name, apart: disambiguator(student, twice), seen: seeing.has(change.studentId) };
  };
  const { up, down, waitedInVain, willWait, unchanged } = effect;
  const risen = (a: NamedChange, b: NamedChange) => compare(gainOf(b), gainOf(a)) || byName(a, b);
  const all = effect.changes.map(named).sort(risen);
  const students = all.slice(0, MOST_NAMED);
  const revision = await db.quizRevs.get([quizId, before.standing.live]);
  const keyed = await keyedSince(quizId, revision?.at ?? 0);
  const changed = new Set(
    changes.flatMap(({ kind, questionId }) => (kind === 'changed' ? [questionId] : [])),
  );
  const standing = keyed.filter(({ questionId }) => changed.has(questionId));
  const counted = changes.map(({ kind, questionId }) => {
    const own = kind === 'changed' ? standing.filter((one) => one.questionId === questionId).length : 0;
    return Math.max(1, own);
  });
  return {
    changes,
    count: counted.reduce((sum, one) => sum + one, 0),
    keyed: standing,
    up,
    down,
    waitedInVain,
    willWait,
    unchanged,
    students,
    changed: all.map(({ studentId }) => studentId),
    more: all.length - students.length,
    overridesDiffer: effect.overrides.length,
    seen: all.filter((change) => change.seen && gainOf(change).n !== 0).length,
    cells: cellsAfter(live.marked, after),
    outOf: outOfPaper(draft),
    histogram: histograms(live.marked, after),
    undoable,
    shown: {
      changeSeq: before.changeSeq,
      attemptsSeq: seq,
      live: before.standing.live,
      marked: asksForMarks({ plan: before.content.plan, ownPlans: before.standing.plans })
        ? markedToKeep(live.marked, after)
        : [],
    },
  };
}

/** What closing it now, for everyone, would do to the scores that are recorded, and how many are working. */
export async function closingEffect(quizId: string): Promise<WorkEffect & { readonly working: number }> {
  const { marked, quiz, people, members, everyAttempt, windowOf } = await liveClass(quizId);
  const at = now();
  const { opening, windows } = closedAt(quiz.standing, at);
  const closed = windowsOf(
    windowOfQuiz(opening, quiz.content),
    { windows, pauses: quiz.standing.pauses },
    people,
    members,
  );
  const working = everyAttempt.filter(
    (one) => attemptState(one, windowOf(one.studentId), at) === 'working',
  ).length;
  return { ...effectOfWork(marked, { ...marked.work, windowOf: closed, at }), working };
}

/** What another rule for work that is not handed in would do to the scores that are recorded now. */
export async function unfinishedEffect(
  quizId: string,
  unfinished: QuizContent['unfinished'],
): Promise<WorkEffect> {
  const { marked } = await liveClass(quizId);
  return effectOfWork(marked, { ...marked.work, unfinished });
}

/** What other times for the quiz would do to the scores that are recorded now. */
export async function timesEffect(quizId: string, opening: Opening): Promise<WorkEffect> {
  const { marked, quiz, people, members } = await liveClass(quizId);
  const windowOf = windowsOf(windowOfQuiz(opening, quiz.content), quiz.standing, people, members);
  return effectOfWork(marked, { ...marked.work, windowOf });
}
