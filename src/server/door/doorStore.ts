import { overridesByAttempt } from '@/core/checking/classWork';
import type { DoorContent } from '@/core/door/schema';
import { ofThoseSet, studentsSet, type Member, type Person } from '@/core/quiz/people/school';
import { windowOfQuiz } from '@/core/quiz/times/window';
import { belongings, windowsOf } from '@/core/quiz/times/windowsOf';
import { windowFor, type StudentWindow } from '@/core/quiz/times/windows';
import type { Comment, CommentText, Ruling } from '@/core/quiz/work/attempt';
import type { Override } from '@/core/quiz/work/override';
import { asksForOthers } from '@/core/reveal/kept';
import { sceneFor } from '@/core/reveal/scene';
import { begin, begun } from '@/core/sitting/decide';
import { sittingOf } from '@/core/sitting/packet';
import type { PaperAddress } from '@/core/sitting/port';
import type { SittingStore, Stored, Visit } from '@/core/sitting/store';
import { newId, newSeed } from '@/device/ids';
import type { Doors, OpenedDoor } from './doors';

/** What is found by a student or an attempt, of hundreds. */
interface Found {
  readonly people: ReadonlyMap<string, Person>;
  readonly members: ReadonlyMap<string, readonly Member[]>;
  readonly rulings: ReadonlyMap<string, Ruling>;
  readonly overrides: ReadonlyMap<string, readonly Override[]>;
  readonly comments: ReadonlyMap<string, readonly Comment[]>;
}

function by<One>(all: readonly One[], nameOf: (one: One) => string): ReadonlyMap<string, readonly One[]> {
  const groups = new Map<string, One[]>();
  for (const one of all) {
    const group = groups.get(nameOf(one));
    if (group) group.push(one);
    else groups.set(nameOf(one), [one]);
  }
  return groups;
}

const found = new WeakMap<DoorContent, Found>();

function foundIn(content: DoorContent): Found {
  const known = found.get(content);
  if (known) return known;
  const made = {
    people: new Map(content.people.map((person) => [person.id, person])),
    members: by(content.members, ({ studentId }) => studentId),
    rulings: new Map(content.rulings.map((ruling) => [ruling.attemptId, ruling])),
    overrides: by(content.overrides, ({ attemptId }) => attemptId),
    comments: by(content.comments, ({ attemptId }) => attemptId),
  };
  found.set(content, made);
  return made;
}

/** The window of one student behind a door. */
function windowOf({ content }: OpenedDoor, studentId: string): StudentWindow {
  const { standing } = content;
  const { people, members } = foundIn(content);
  const quiz = windowOfQuiz(standing.opening, content.content);
  const own = members.get(studentId) ?? [];
  const who = belongings(own).get(studentId) ?? { studentId, classes: [], groups: [] };
  const moreTime = people.get(studentId)?.moreTime ?? null;
  return windowFor(quiz, standing.windows, standing.pauses, { ...who, moreTime });
}

/** Comments by attempt and place. */
function commentsByAttempt(
  comments: readonly Comment[],
): ReadonlyMap<string, Readonly<Record<string, CommentText>>> {
  const found = new Map<string, Record<string, CommentText>>();
  for (const comment of comments)
    found.set(comment.attemptId, { ...found.get(comment.attemptId), [comment.questionId]: comment });
  return found;
}

const quizOf = ({ row, content }: OpenedDoor): Visit['quiz'] => ({
  id: content.quizId,
  content: content.content,
  standing: content.standing,
  firstHandInAt: row.first_hand_in_at,
});

/** One student's papers behind a door, as it stood when the request came: each request has a store of its own. */
export function doorStore(doors: Doors, door: OpenedDoor, studentId: string): SittingStore {
  const { row, content } = door;
  const { standing, people, members } = content;
  const window = windowOf(door, studentId);
  const known = foundIn(content);
  const { rulings } = known;

  const visit = async ({ quizId }: PaperAddress): Promise<Visit | null> => {
    const student = known.people.get(studentId);
    if (!student || quizId !== content.quizId) return null;
    const made = await doors.attemptsOf(row.id, studentId);
    const isMeant = studentsSet(standing.setTo, [student], known.members.get(studentId) ?? []).some(
      (one) => one.removedAt === null,
    );
    // Whoever has begun goes on; for anybody else the quiz is not there.
    if (!isMeant && made.length === 0) return null;
    return { quiz: quizOf(door), student, made, window };
  };

  return {
    now: () => doors.now(),
    look: ({ student }) => doors.look(row.id, student.id),
    visit,
    paper: (_, revision) => Promise.resolve(doors.paper(door, revision)),

    async scene({ quiz, student, made }) {
      const { plans, windows } = quiz.standing;
      const alone =
        plans.length + windows.length === 0 && !asksForOthers({ plan: quiz.content.plan, ownPlans: [] });
      return sceneFor({
        content: quiz.content,
        standing: quiz.standing,
        people: alone ? people.filter(({ id }) => id === student.id) : people,
        members: alone ? members.filter((one) => one.studentId === student.id) : members,
        attempts: alone ? made : await doors.everyAttempt(row.id),
        rulings,
        visitor: student.id,
      });
    },

    async everyonesWork() {
      const attempts = await doors.everyAttempt(row.id);
      return {
        attempts: ofThoseSet(studentsSet(standing.setTo, people, members), attempts),
        windowOf: windowsOf(windowOfQuiz(standing.opening, content.content), standing, people, members),
        overrides: overridesByAttempt(content.overrides),
        rulings,
      };
    },

    together: (_, make) => doors.together(door, make),

    teachersWork(_, attemptIds) {
      const own = <One>(all: ReadonlyMap<string, readonly One[]>): One[] =>
        attemptIds.flatMap((id) => all.get(id) ?? []);
      return Promise.resolve({
        overrides: overridesByAttempt(own(known.overrides)),
        comments: commentsByAttempt(own(known.comments)),
        rulings: new Map(
          attemptIds.flatMap((id) => {
            const ruling = rulings.get(id);
            return ruling ? [[id, ruling] as const] : [];
          }),
        ),
      });
    },

    async begin(address) {
      const looked = await visit(address);
      if (!looked) return;
      const { student, quiz } = looked;
      await doors.change(row.id, studentId, (made) => {
        const now = doors.now();
        const decided = begin(sittingOf({ quiz, student, window }), made, now);
        if (!decided || 'goOn' in decided) return { after: null, settles: false, result: null };
        const what = {
          id: newId(),
          quizId: quiz.id,
          studentId,
          number: decided.number,
          revision: standing.live ?? 1,
          seed: newSeed(),
          seq: 0,
        };
        return { after: begun(what, now, window.timeLimit), settles: false, result: null };
      });
    },

    change: (_, attemptId, decide, settles) =>
      doors.change(row.id, studentId, (made) => {
        const stays = (result: Stored) => ({ after: null, settles: false, result });
        const attempt = made.find(({ id }) => id === attemptId);
        if (!attempt) return stays({ ok: false, reason: 'unknown' });
        const now = doors.now();
        const decided = decide(doors.paper(door, attempt.revision), attempt, window, now);
        if (!decided.ok) {
          const { reason, attempt: aside = null } = decided;
          return { after: aside, settles: false, result: { ok: false, reason } };
        }
        if (decided.attempt === attempt)
          return stays({ ok: true, at: attempt.handedInAt ?? attempt.savedAt });
        return { after: decided.attempt, settles, result: { ok: true, at: now } };
      }),

    async picture(hash) {
      const found = await doors.picture(row.id, hash);
      return found && new Blob([new Uint8Array(found.bytes)], { type: found.type });
    },
  };
}
