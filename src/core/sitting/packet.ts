import { valueAt } from '../figures/valueAt';
import { MarkedClass, type ClassWork, type StudentWork } from '../checking/classWork';
import { formulasIn } from '../content/formulaText';
import { countCameAfter, type Attempt } from '../quiz/work/attempt';
import { isLate } from '../quiz/times/due';
import { lockedSince } from '../quiz/times/lock';
import { askedIn, outOfPaper, pointsOfPaper } from '../quiz/points';
import { isEmptyProse } from '../content/prose';
import { pageSizes } from '../quiz/pages';
import { sectionOf } from '../quiz/section';
import { inBandOrder } from '../scoring/band';
import type { Paper, QuizContent } from '../quiz/quiz';
import {
  attemptState,
  endOfAttempt,
  finishedAt,
  isFinished,
  isOpen,
  isTakenBack,
} from '../quiz/times/window';
import type { Aspect } from '../quiz/plan/plan';
import type { Attempts, ClassDid, Cover, Missing, PaperPacket } from '../reveal/packets';
import { classDid } from '../reveal/classDid';
import { isComplete, markedSince } from '../reveal/markedAt';
import { formulasShown, questionsForStudent, slipOf, toCome } from '../reveal/slip';
import type { Seat } from '../reveal/seat';
import { Reveal, type Scene } from '../reveal/whatIsShown';
import { mayBegin, type Sitting } from './decide';
import type { SittingStore, Visit } from './store';

/** A quiz as one student meets it. */
export const sittingOf = ({
  quiz,
  student,
  window,
}: Pick<Visit, 'quiz' | 'student' | 'window'>): Sitting => ({
  window,
  granted: valueAt(quiz.standing.granted, student.id) ?? 0,
});

/** What is expected, by the bands' words; what says nothing is not told. */
const expectedOf = ({ bands }: QuizContent): Cover['expected'] =>
  inBandOrder(bands)
    .filter(({ feedback }) => !isEmptyProse(feedback.text))
    .map(({ from, feedback }) => ({ from, text: feedback.text }));

const mostAttempts = (most: number | null, granted = 0): number | null =>
  most === null ? null : Math.min(50, most + granted);

/** A scene in which one student has not begun yet: what they are told on the first page. */
const withoutWork = (scene: Scene, studentId: string): Scene => ({
  ...scene,
  seats: scene.seats.map((seat) => (seat.studentId === studentId ? { ...seat, attempts: [] } : seat)),
});

/** The first page of a student's paper. */
export function coverOf({ quiz, student, window }: Visit, paper: Paper, scene: Scene, now: number): Cover {
  const { title, language, decimalSign, instructions, formulas = [], bands, bandsOnCover } = paper.content;
  const before = new Reveal(withoutWork(scene, student.id), now);
  return {
    title,
    language,
    decimalSign,
    instructions,
    formulas: formulasIn([instructions, bandsOnCover ? bands : []], formulas),
    student: student.name,
    questions: askedIn(paper).length,
    points: pointsOfPaper(paper),
    scaledTo: paper.content.scoring.outOf,
    expected: paper.content.bandsOnCover ? expectedOf(paper.content) : [],
    until: window.until,
    due: window.due,
    grace: window.grace,
    overdue: isLate(window, now),
    late: paper.content.late,
    attempts: {
      most: mostAttempts(window.attempts, valueAt(quiz.standing.granted, student.id)),
      counts: paper.content.attempts.counts,
    },
    unfinished: quiz.content.unfinished,
    timeLimit: window.timeLimit,
    goingBack: window.goingBack,
    comingBack: window.comingBack,
    plan: toCome(before.shown(student.id)),
  };
}

/** The revision of the paper that this student is shown, or that counts for the slip; null: as it is written now. */
function revisionFor({ quiz, window }: Visit, attempt: Attempt | undefined, now: number) {
  if (attempt && attemptState(attempt, window, now) === 'working') return attempt.revision;
  return quiz.firstHandInAt === null ? null : quiz.standing.live;
}

/** A visit with the paper that is looked at, and when. */
interface Look extends Visit {
  readonly paper: Paper;
  readonly cover: Cover;
  readonly scene: Scene;
  readonly now: number;
  /** Which attempt's slip is asked for; the latest where nothing is said. */
  readonly wanted: number | undefined;
}

/** The scene with what marking says of one student's attempts: when nothing in each waited any more. */
function withMarks(scene: Scene, studentId: string, own: StudentWork, rulings: ClassWork['rulings']): Scene {
  const marked = new Map(
    own.sheets.map((sheet) => [sheet.attempt.id, markedSince(sheet, rulings.get(sheet.attempt.id))]),
  );
  const attempts = (seat: Seat) =>
    seat.attempts.map((one) => {
      const since = marked.get(one.id);
      return since === undefined ? one : { ...one, marked: since };
    });
  const seats = scene.seats.map((seat) =>
    seat.studentId === studentId ? { ...seat, attempts: attempts(seat) } : seat,
  );
  return { ...scene, seats };
}

/** How the class did, as far as the plan can show it to somebody: its papers are marked for nothing else. */
async function classIn(store: SittingStore, look: Look): Promise<Together> {
  const { quiz, paper, scene, now } = look;
  const plans = [
    scene.plan.aspects.classDid,
    ...scene.ownPlans.flatMap(({ aspects }) => aspects.classDid ?? []),
  ];
  if (plans.every(({ when }) => when === 'never')) return { papers: 0, did: null };
  const work = await store.everyonesWork(look);
  const { unfinished } = quiz.content;
  const students = new MarkedClass(paper, { ...work, unfinished, at: now }).students();
  const papers = students.filter(({ sheets }) => sheets.some(isComplete)).length;
  const outOf = students.find(({ recorded }) => recorded)?.recorded?.outOf;
  const did = outOf
    ? classDid(
        students.map(({ recorded }) => recorded),
        papers,
        outOf,
      )
    : null;
  return { papers, did };
}

interface Together {
  readonly papers: number;
  readonly did: ClassDid | null;
}

/** What is recorded for a student without work, where that is shown. */
function missingIn({ scene, student, paper, now }: Look): Missing | null {
  const { score } = new Reveal(scene, now).shown(student.id);
  return score.state === 'shown' ? { outOf: outOfPaper(paper) } : null;
}

/** Whether an attempt is over, however it ended. */
const isOver = ({ window, now }: Pick<Look, 'window' | 'now'>, attempt: Attempt): boolean =>
  isFinished(attemptState(attempt, window, now));

async function finishedPacket(store: SittingStore, look: Look): Promise<PaperPacket> {
  const { quiz, made, paper, cover, window, now, wanted, student } = look;
  const { overrides, rulings, comments } = await store.teachersWork(
    quiz.id,
    made.map(({ id }) => id),
  );
  const { unfinished } = quiz.content;
  const work: ClassWork = { attempts: made, windowOf: () => window, unfinished, overrides, rulings, at: now };
  const [own] = new MarkedClass(paper, work).students();
  const sheet = own?.sheets.find((one) => one.attempt.number === wanted) ?? own?.sheets.at(-1);
  if (!own || !sheet)
    return { state: 'notHandedIn', cover, missing: missingIn(look), cameAfter: countCameAfter(made.at(-1)) };
  const { attempt, notCounted } = sheet;
  const { papers, did } = await store.together(look, () => classIn(store, look));
  const scene = { ...withMarks(look.scene, student.id, own, rulings), completePapers: papers };
  const reveal = new Reveal(scene, now);
  const shown = reveal.shown(student.id, attempt.id);
  const { counts } = paper.content.attempts;
  // What attempts come to together is told once each that joins shows its own score.
  const joining = own.sheets.filter((one) => one.notCounted === null);
  const allShown = joining.every((one) => reveal.shown(student.id, one.attempt.id).score.state === 'shown');
  const recorded = own.sheets.length > 1 && allShown ? own.recorded : null;
  const attempts: Attempts = {
    number: attempt.number,
    finished: own.sheets.map((one) => one.attempt.number),
    notCounted: notCounted === 'tooLate' || notCounted === 'voided' ? notCounted : null,
    recorded: recorded && {
      score: recorded.score,
      outOf: recorded.outOf,
      waiting: recorded.waiting,
      counts,
    },
    running: made.find((one) => !isOver(look, one))?.number ?? null,
    mayBegin: mayBegin(sittingOf(look), made, now),
  };
  const finished = {
    sheet,
    finishedAt: finishedAt(attempt, window),
    comments: comments.get(attempt.id) ?? {},
  };
  const sight = { shown, only: (aspect: Aspect) => reveal.only(student.id, aspect), classDid: did };
  return { state: 'finished', cover, slip: slipOf(paper, finished, sight), attempts };
}

function workingPacket(attempt: Attempt, look: Look): PaperPacket {
  const { paper, cover, window, now, made } = look;
  const { id, answers, savedAt } = attempt;
  const started = Object.keys(answers).length > 0;
  const questions = questionsForStudent(paper, attempt);
  const sections = [...new Set(sectionOf(paper.content).values())];
  return {
    state: 'working',
    cover,
    working: {
      attemptId: id,
      questions,
      pages: pageSizes(paper),
      sections,
      formulas: formulasShown(paper, { questions, sections }),
      answers,
      savedAt: started ? savedAt : null,
      reached: window.goingBack ? null : (attempt.reached ?? 0),
      // Where nobody comes back to a page, nothing leads away from it.
      earlier: window.comingBack ? made.filter((one) => isOver(look, one)).map(({ number }) => number) : [],
      endsAt: endOfAttempt(attempt, window),
      now,
    },
  };
}

/** What a student may see of a quiz: nothing of any key before its time. While an attempt is worked at, an earlier one that is asked for. */
export async function packetFor(store: SittingStore, visit: Visit, wanted?: number): Promise<PaperPacket> {
  const now = store.now();
  const { quiz, made, window } = visit;
  const attempt = made.at(-1);
  const isWanted = (one: Attempt) => one.number === wanted && isOver({ window, now }, one);
  const shown = made.find(isWanted) ?? attempt;
  const paper = await store.paper(quiz.id, revisionFor(visit, shown, now));
  const scene = await store.scene(visit);
  const cover = coverOf(visit, paper, scene, now);
  const look: Look = { ...visit, paper, cover, scene, now, wanted };
  if (shown && isOver(look, shown)) return finishedPacket(store, look);
  if (!isOpen(window, now)) {
    const opensAt = window.from !== null && window.from > now ? window.from : null;
    return {
      state: 'closed',
      cover,
      opensAt,
      takenBack: isTakenBack(window.pauses, now),
      missing: missingIn(look),
    };
  }
  if (!attempt) return { state: 'ready', cover };
  return lockedSince(attempt, window, now) === null
    ? workingPacket(attempt, look)
    : { state: 'locked', cover };
}
