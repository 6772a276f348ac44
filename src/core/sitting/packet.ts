import { MarkedClass } from '../checking/classWork';
import { formulasIn } from '../content/formulaText';
import type { Attempt } from '../quiz/attempt';
import { isLate } from '../quiz/due';
import { ASPECTS } from '../quiz/plan';
import { askedIn, pointsOfPaper } from '../quiz/points';
import { isEmptyProse } from '../content/prose';
import { pageSizes } from '../quiz/pages';
import { sectionOf } from '../quiz/section';
import { inBandOrder } from '../scoring/band';
import type { Paper, QuizContent } from '../quiz/quiz';
import { attemptState, finishedAt, isFinished, isOpen, isOver } from '../quiz/window';
import type { Attempts, Cover, PaperPacket } from '../reveal/packets';
import { formulasShown, questionsForStudent, slipOf } from '../reveal/slip';
import { whatIsShown } from '../reveal/whatIsShown';
import { mayBegin, type Sitting } from './decide';
import type { SittingStore, Visit } from './store';

/** A quiz as its students meet it. */
export const sittingOf = ({ standing, content }: Visit['quiz']): Sitting => ({
  opening: standing.opening,
  attempts: content.attempts,
});

/** What is expected, by the bands' words; what says nothing is not told. */
const expectedOf = ({ bands }: QuizContent): Cover['expected'] =>
  inBandOrder(bands)
    .filter(({ feedback }) => !isEmptyProse(feedback.text))
    .map(({ from, feedback }) => ({ from, text: feedback.text }));

function coverOf({ quiz, student }: Visit, paper: Paper, now: number): Cover {
  const { title, instructions, formulas = [], bands, bandsOnCover } = paper.content;
  const { opening } = quiz.standing;
  return {
    title,
    instructions,
    formulas: formulasIn([instructions, bandsOnCover ? bands : []], formulas),
    student: student.name,
    questions: askedIn(paper).length,
    points: pointsOfPaper(paper),
    scaledTo: paper.content.scoring.outOf,
    expected: paper.content.bandsOnCover ? expectedOf(paper.content) : [],
    until: opening?.until ?? null,
    due: opening?.due ?? null,
    grace: opening?.grace ?? 0,
    overdue: opening !== null && isLate(opening, now),
    late: paper.content.late,
    attempts: { most: quiz.content.attempts.most, counts: paper.content.attempts.counts },
    unfinished: quiz.content.unfinished,
    plan: ASPECTS.map((aspect) => ({ aspect, when: quiz.content.plan[aspect] })),
  };
}

/** The revision of the paper that this student is shown, or that counts for the slip; null: as it is written now. */
function revisionFor({ standing, firstHandInAt }: Visit['quiz'], attempt: Attempt | undefined, now: number) {
  if (attempt && attempt.handedInAt === null && !isOver(standing.opening, now)) return attempt.revision;
  return firstHandInAt === null ? null : standing.live;
}

/** A visit with the paper that is looked at, and when. */
interface Look extends Visit {
  readonly paper: Paper;
  readonly cover: Cover;
  readonly now: number;
  /** Which attempt's slip is asked for; the latest where nothing is said. */
  readonly wanted: number | undefined;
}

async function finishedPacket(store: SittingStore, look: Look): Promise<PaperPacket> {
  const { quiz, made, paper, cover, now, wanted } = look;
  const { opening } = quiz.standing;
  const { overrides, rulings, comments } = await store.teachersWork(
    quiz.id,
    made.map(({ id }) => id),
  );
  const { unfinished } = quiz.content;
  const work = { attempts: made, opening, unfinished, overrides, rulings, at: now };
  const [own] = new MarkedClass(paper, work).students();
  const sheet = own?.sheets.find((one) => one.attempt.number === wanted) ?? own?.sheets.at(-1);
  if (!own || !sheet) return { state: 'notHandedIn', cover };
  const { attempt, notCounted } = sheet;
  const ended = finishedAt(attempt, opening);
  const shown = whatIsShown(
    { plan: quiz.content.plan, standing: quiz.standing },
    { studentId: attempt.studentId, finishedAt: ended },
    now,
  );
  const { counts } = paper.content.attempts;
  const recorded = own.sheets.length > 1 && shown.score.shown ? own.recorded : null;
  const attempts: Attempts = {
    number: attempt.number,
    finished: own.sheets.map((one) => one.attempt.number),
    notCounted: notCounted === 'tooLate' || notCounted === 'voided' ? notCounted : null,
    recorded: recorded && { score: recorded.score, outOf: recorded.outOf, counts },
    mayBegin: mayBegin(sittingOf(quiz), made, now),
  };
  const slip = slipOf(paper, { sheet, finishedAt: ended, comments: comments.get(attempt.id) ?? {} }, shown);
  return { state: 'finished', cover, slip, attempts };
}

function workingPacket(attempt: Attempt, { paper, cover }: Look): PaperPacket {
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
    },
  };
}

/** What a student may see of a quiz: nothing of any key before its time. */
export async function packetFor(store: SittingStore, visit: Visit, wanted?: number): Promise<PaperPacket> {
  const now = store.now();
  const { quiz, made } = visit;
  const attempt = made.at(-1);
  const { opening } = quiz.standing;
  const paper = await store.paper(quiz.id, revisionFor(quiz, attempt, now));
  const cover = coverOf(visit, paper, now);
  const look: Look = { ...visit, paper, cover, now, wanted };
  if (isFinished(attemptState(attempt, opening, now))) return finishedPacket(store, look);
  if (!isOpen(opening, now)) {
    const opensAt = opening && opening.from > now ? opening.from : null;
    return { state: 'closed', cover, opensAt };
  }
  return attempt ? workingPacket(attempt, look) : { state: 'ready', cover };
}
