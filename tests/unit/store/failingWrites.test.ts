import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { before, describe, test } from 'node:test';
import { loadTypesetter } from '@/typeset/complete';
import { canonical } from '@/core/figures/deepEqual';
import { emptyContent } from '@/core/quiz/newQuiz';
import { NEVER, planOf } from '@/core/quiz/plan/plan';
import * as attempts from '@/store/work/attempts';
import * as sittingActs from '@/store/work/sittingActs';
import * as typedPapers from '@/store/work/typedPapers';
import * as backups from '@/store/files/backups';
import * as classes from '@/store/class/classes';
import * as columns from '@/store/work/markColumns';
import * as comments from '@/store/work/comments';
import { db } from '@/store/records/db';
import * as demo from '@/store/demo/demo';
import { DEMO_QUIZ } from '../../demoQuiz';
import { keepDrawings } from '../support/drawings';
import * as edits from '@/store/quiz/edits';
import { failureOf } from '@/device/failure';
import * as steps from '@/store/records/steps';
import * as undoing from '@/store/undo/undo';
import * as imports from '@/store/files/imports';
import * as lookAlikes from '@/store/quiz/lookAlikes';
import * as media from '@/store/quiz/pictures';
import * as overrides from '@/store/work/overrides';
import * as quizzes from '@/store/quiz/quizzes';
import * as restore from '@/store/files/restore';
import * as revisions from '@/store/quiz/revisions';
import * as roster from '@/store/class/roster';
import * as rulings from '@/store/work/rulings';
import * as scoreColumns from '@/store/work/scoreColumns';
import * as shelf from '@/store/quiz/shelf';
import * as standing from '@/store/quiz/standing';
import { newSection } from '@/core/quiz/section';
import { watchWrites } from '@/store/records/writes';
import { classDesk, fileDesk } from '@/workers/classDesk';
import { DEMO_FILE } from '../../generated';
import { LONG } from '../../runs';
import { handInAttempt, keepAnswer } from '../support/sat';
import { openAlways, phraseQuestion, pickOneQuestion, readPaper, variant, parted } from '../support/support';

/** A school in the middle of its work: two quizzes, one of them being sat, with edits that wait and a step undone. */
interface School {
  readonly quizId: string;
  readonly begun: string;
  readonly handedIn: string;
  readonly typed: string;
  readonly step: number;
}

const edit = { label: 'Edit', field: '' };
const silt = () => phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' });
// Its formula is as a save leaves it while the typesetter is still on its way.
const levee = () => pickOneQuestion({ levee: '1', gorge: '0' }, { id: 'q2', explanation: '\\(x^2\\)' });
const say = (text: string) => ({ kind: 'phrase', text }) as const;
const sectionOf = async (quizId: string): Promise<string> =>
  (await db.quizzes.get(quizId))?.content.sections[0]?.id ?? '';
const rev = async (quizId: string, id: string) => (await db.questions.get([quizId, id]))?.rev ?? 0;

async function school(): Promise<School> {
  await loadTypesetter();
  await demo.ensureDemo();
  await keepDrawings();
  // One quiz of the demo school is enough: everything is compared after each write.
  for (const id of await db.quizzes.toCollection().primaryKeys())
    if (id !== DEMO_QUIZ) await shelf.removeForGood(id);
  const quizId = await quizzes.createQuiz(
    { ...emptyContent('Rivers'), order: ['q1', 's1', 'q2'], sections: [newSection('s1')] },
    [silt(), levee()],
  );
  await openAlways(quizId);
  const sit = async (student: string) => (await attempts.startAttempt(quizId, student))?.id ?? '';
  const [begun, handedIn] = [await sit('demo-1'), await sit('demo-2')];
  await keepAnswer(handedIn, 'q1', say('mud'));
  assert.ok((await handInAttempt(handedIn)).ok);
  await overrides.setOverride({
    quizId,
    attemptId: handedIn,
    questionId: 'q2',
    points: { n: 1, d: 1 },
    reason: '',
    at: 1,
    gave: null,
  });
  await rulings.rule(quizId, handedIn, { note: 'was ill' });
  const typed = await typedPapers.beginTypedPaper(quizId, 'demo-6');
  await media.keepPicture('old', new Blob(['x']));
  await db.media.update('old', { keptAt: 1 });
  const saved = await edits.saveQuestion(
    quizId,
    parted({ ...silt(), explanation: 'Fine mud.' }),
    await rev(quizId, 'q1'),
    edit,
  );
  assert.ok(saved.ok);
  const title = await edits.saveContent(quizId, { topic: 'Mud' }, { topic: '' }, edit);
  assert.ok(title.ok);
  await undoing.undo(quizId);
  await classes.addClass('Empty');
  await roster.setRemoved(DEMO_CLASS, 'demo-3', 'off');
  return { quizId, begun, handedIn, typed, step: saved.rev };
}

const DEMO_CLASS = 'demo-class-8c';
type Op = (at: School) => Promise<unknown>;

const paperFor = async (quizId: string) => quizzes.draftPaper(quizId);
const papers = [
  readPaper({ name: 'Cato Weir', studentId: 'demo-4', answers: { q1: say('silt') }, note: 'late' }),
  readPaper({ name: 'Cy Brook', studentId: null, answers: { q1: say('sand') } }),
];
const newRow = {
  student: { id: 'x', name: 'Cy Brook', number: '7', email: '', moreTime: null, groups: [], removedAt: null },
  known: false,
  what: [],
} as never;

const LEAK = {
  kind: 'others' as const, aspects: ['feedback' as const], tellers: ['demo-1'], hearers: ['demo-2'], from: 1, until: null,
}; // prettier-ignore

/** Every function of the store that writes. One that is missing here is found by the last test. */
const WRITES: Record<string, Op> = {
  'sittingActs.actOnSitting': ({ quizId }) =>
    sittingActs.actOnSitting(quizId, 'demo-1', { act: 'startAgain', until: null }),
  'standing.setOwnWindow': ({ quizId }) =>
    standing.setOwnWindow(quizId, { kind: 'student', studentId: 'demo-1' }, { until: 9 }),
  'standing.takeQuizBack': ({ quizId }) => standing.takeQuizBack(quizId),
  'standing.setPlans': async ({ quizId }) => {
    const { content, standing: stands } = (await db.quizzes.get(quizId)) ?? assert.fail();
    const seen = { plan: content.plan, ownPlans: stands.plans };
    const own = {
      id: 'own',
      for: { kind: 'student' as const, studentId: 'demo-2' },
      aspects: { score: NEVER },
    };
    await standing.setPlans(quizId, { plan: planOf(NEVER), ownPlans: [own] }, seen);
  },
  'standing.knowLeaks': ({ quizId }) => standing.knowLeaks(quizId, [LEAK]),
  'standing.nameLeaksAgain': ({ quizId }) => standing.nameLeaksAgain(quizId),
  'standing.changeZone': ({ quizId }) => standing.changeZone(quizId, 'Asia/Tokyo'),
  'standing.letQuizGoOn': ({ quizId }) => standing.letQuizGoOn(quizId),
  'typedPapers.beginTypedPaper': ({ quizId }) => typedPapers.beginTypedPaper(quizId, 'demo-5'),
  'typedPapers.keepTypedAnswer': ({ quizId, typed }) =>
    typedPapers.keepTypedAnswer(quizId, typed, 'q1', say('mud')),
  'overrides.setOverrides': ({ quizId, handedIn }) =>
    overrides.setOverrides(quizId, [
      {
        quizId,
        attemptId: handedIn,
        questionId: 'q1',
        points: { n: 1, d: 2 },
        reason: '',
        at: 1,
        gave: null,
      },
    ]),
  'lookAlikes.decideAlike': ({ quizId }) =>
    lookAlikes.decideAlike(quizId, 'q1', { part: null, a: 'silt', b: 'mud', are: 'together' }),
  'attempts.startAttempt': ({ quizId }) => attempts.startAttempt(quizId, 'demo-5'),
  'attempts.changeAttempt': ({ begun }) => keepAnswer(begun, 'q1', say('silt')),
  'attempts.changeAttempt, handing in': ({ begun }) => handInAttempt(begun),
  'backups.keepBackedUp': () => backups.keepBackedUp(5, 'stamp'),
  'backups.keepFolder': () => backups.keepFolder({ name: 'Backups' } as never),
  'backups.forgetFolder': () => backups.forgetFolder(),
  'comments.saveComment': ({ quizId, handedIn }) => comments.saveComment(quizId, handedIn, '', 'Well done.'),
  'demo.ensureDemo': () => demo.ensureDemo(),
  'edits.saveContent': ({ quizId }) =>
    edits.saveContent(quizId, { title: 'Floods' }, { title: 'Rivers' }, edit),
  'edits.saveQuestion': async ({ quizId }) =>
    edits.saveQuestion(quizId, parted({ ...silt(), explanation: 'x' }), await rev(quizId, 'q1'), edit),
  'edits.completeFormulas': ({ quizId }) => edits.completeFormulas(quizId, 'q2', edit),
  'edits.addQuestion': ({ quizId }) => edits.addQuestion(quizId, 'pickOne', 'q1'),
  'edits.restoreQuestion': ({ quizId }) =>
    edits.restoreQuestion(quizId, parted(pickOneQuestion({ a: '1' }, { id: 'q9' })), edit),
  'edits.copyQuestions': ({ quizId }) => edits.copyQuestions(quizId, ['q1', 'q2'], quizId, 'q1'),
  'edits.addSection': ({ quizId }) => edits.addSection(quizId, 'q1'),
  'edits.setPageBreak': ({ quizId }) => edits.setPageBreak(quizId, 'q2', true),
  'edits.removeSection': async ({ quizId }) => edits.removeSection(quizId, await sectionOf(quizId)),
  'edits.removeQuestion': ({ quizId }) => edits.removeQuestion(quizId, 'q2'),
  'undoing.undo': ({ quizId }) => undoing.undo(quizId),
  'undoing.redo': ({ quizId }) => undoing.redo(quizId),
  'undoing.undoStep': ({ quizId, step }) => undoing.undoStep(quizId, step),
  'imports.importPapers': async ({ quizId }) => imports.importPapers(quizId, papers, await paperFor(quizId)),
  'imports.rememberMapping': ({ quizId }) =>
    imports.rememberMapping(quizId, ['A'], [{ use: 'student' }], 'later'),
  'media.keepPicture': () => media.keepPicture('new', new Blob(['y'])),
  'media.sweepPictures': () => media.sweepPictures(),
  'overrides.setOverride': ({ quizId, handedIn }) =>
    overrides.setOverride({
      quizId,
      attemptId: handedIn,
      questionId: 'q1',
      points: { n: 1, d: 2 },
      reason: 'x',
      at: 2,
      gave: null,
    }),
  'overrides.removeOverride': ({ quizId, handedIn }) =>
    overrides.removeOverride({ quizId, attemptId: handedIn, questionId: 'q2' }),
  'quizzes.createQuiz': () => quizzes.createQuiz({ ...emptyContent('Maps'), order: ['q1'] }, [silt()]),
  'quizzes.createEmptyQuiz': () => quizzes.createEmptyQuiz(),
  'restore.restoreBackup': async () => {
    const made = await classDesk.saveBackup(() => true);
    assert.ok(made);
    const opened = await fileDesk.openFile(made.bytes);
    assert.ok(opened.ok && opened.value.kind === 'backup');
    const all = Object.fromEntries(opened.value.quizzes.map(({ id }) => [id, 'both' as const]));
    await fileDesk.takeBackup(opened.value.token, { quizzes: all, students: 'theirs' });
  },
  'restore.addQuiz': () => restore.addQuiz(DEMO_FILE, new Map([['p', new Uint8Array([0xff])]]), 'copy'),
  'restore.updateQuiz': () =>
    restore.updateQuiz(
      { ...DEMO_FILE, quiz: { ...DEMO_FILE.quiz, content: { ...DEMO_FILE.quiz.content, topic: 'Newer' } } },
      new Map(),
    ),
  'revisions.applyDraft': async ({ quizId }) => {
    const { shown } = await classDesk.pending(quizId);
    assert.ok(shown);
    return revisions.applyDraft(quizId, shown);
  },
  'revisions.keepScores': async ({ quizId, handedIn }) => {
    const { shown } = await classDesk.pending(quizId);
    assert.ok(shown);
    const questionId = (await quizzes.getQuestions(quizId))[0]?.id ?? '';
    const kept = {
      quizId,
      attemptId: handedIn,
      questionId,
      points: { n: 1, d: 1 },
      reason: 'Kept',
      at: 1,
      gave: null,
    };
    return revisions.keepScores(quizId, shown, [kept]);
  },
  'revisions.undoRevision': ({ quizId }) => revisions.undoRevision(quizId),
  'revisions.putBack': ({ quizId }) => revisions.putBack(quizId, 2),
  'roster.addStudent': () => roster.addStudent(DEMO_CLASS, 'Cy Brook'),
  'roster.saveStudent': () => roster.saveStudent('demo-6', { number: '99' }),
  'roster.setRemoved': () => roster.setRemoved(DEMO_CLASS, 'demo-3', 'back'),
  'roster.importRoster': () => roster.importRoster(DEMO_CLASS, [newRow]),
  'roster.saveGroups': () => roster.saveGroups(DEMO_CLASS, 'demo-6', ['choir']),
  'classes.addClass': () => classes.addClass('9A'),
  'classes.renameClass': () => classes.renameClass(DEMO_CLASS, '8B'),
  'classes.setClassAway': () => classes.setClassAway(DEMO_CLASS, 'away'),
  'classes.deleteClass': async () => {
    const empty = (await classes.listClasses()).find(({ name }) => name === 'Empty');
    return classes.deleteClass(empty?.id ?? '');
  },
  'classes.moveOn': () => classes.moveOn(DEMO_CLASS, { name: '9C' }),
  'rulings.rule': ({ quizId, handedIn }) => rulings.rule(quizId, handedIn, { lateness: 'excused' }),
  'rulings.ruleAll': ({ quizId, handedIn }) => rulings.ruleAll(quizId, [handedIn], { note: '' }),
  'scoreColumns.keepScoreColumns': ({ quizId }) => scoreColumns.keepScoreColumns(quizId, ['name']),
  'shelf.duplicateQuiz': ({ quizId }) => shelf.duplicateQuiz(quizId),
  'shelf.setArchived': ({ quizId }) => shelf.setArchived(quizId, 'away'),
  'shelf.setDeleted': ({ quizId }) => shelf.setDeleted(quizId, 'deleted'),
  'shelf.arrange': ({ quizId }) => shelf.arrange([quizId, DEMO_QUIZ]),
  'shelf.removeForGood': ({ quizId }) => shelf.removeForGood(quizId),
  'shelf.sweep': () => shelf.sweep(),
  'shelf.removeDemo': () => shelf.removeDemo(),
  'shelf.resetDemo': () => shelf.resetDemo(),
  'standing.setQuizTo': ({ quizId }) => standing.setQuizTo(quizId, []),
  'standing.openQuiz': ({ quizId }) =>
    standing.openQuiz(quizId, { from: 1, due: null, grace: 0, until: 9e12 }),
  'standing.closeQuiz': ({ quizId }) => standing.closeQuiz(quizId),
  'standing.takeBackOpening': ({ quizId }) => standing.takeBackOpening(quizId),
  'standing.showAspects': ({ quizId }) => standing.showAspects(quizId, ['score'], 'show'),
  'standing.showStudent': ({ quizId }) => standing.showStudent(quizId, 'demo-2', 'show'),
};

/** What has to be there first: by the name of the write. */
const FIRST: Record<string, Op> = {
  'demo.ensureDemo': async () => {
    await shelf.removeDemo();
    await db.meta.delete('started');
  },
  // The effect that is shown first leaves marks in a cache.
  'revisions.applyDraft': ({ quizId }) => classDesk.pending(quizId),
  'revisions.keepScores': async ({ quizId }) => {
    await db.quizRevs.toCollection().modify((revision) => {
      revision.content.comparing = 1;
    });
    await classDesk.pending(quizId);
  },
  'standing.nameLeaksAgain': ({ quizId }) => standing.knowLeaks(quizId, [LEAK]),
  'standing.letQuizGoOn': ({ quizId }) => standing.takeQuizBack(quizId),
  'backups.forgetFolder': () => backups.keepFolder({ name: 'Backups' } as never),
  'revisions.undoRevision': WRITES['revisions.applyDraft'] as Op,
  'revisions.putBack': WRITES['revisions.applyDraft'] as Op,
  'shelf.sweep': ({ quizId }) => db.quizzes.update(quizId, { deletedAt: 1 }),
};

type Dump = readonly (readonly [table: string, rows: readonly unknown[]])[];
const dump = async (): Promise<Dump> =>
  Promise.all(db.tables.map(async (table) => [table.name, await table.toArray()] as const));
const put = (state: Dump): Promise<void> =>
  db.transaction('rw', db.tables, async () => {
    for (const [name, rows] of state) {
      await db.table(name).clear();
      await db.table(name).bulkAdd([...rows]);
    }
  });
const asText = (state: Dump): string =>
  canonical(state.map(([name, rows]) => [name, name === 'media' ? rows.length : rows]));
const counts = (state: Dump): string => state.map(([name, rows]) => `${name} ${rows.length}`).join(', ');

/** The n-th write from now on fails as it does where there is no room left; all others go through. */
function failAt(n: number): { readonly seen: () => number; readonly end: () => void } {
  let seen = 0;
  const end = watchWrites(() => {
    seen += 1;
    if (seen === n) throw new DOMException('No room left', 'QuotaExceededError');
  });
  return { seen: () => seen, end };
}

let at: School;
let start: Dump;
before(async () => {
  at = await school();
  start = await dump();
});

/**
 * All of the writes; of many, without much time, the first and last ones. As all is as before after each that failed, the
 * next try is made after the last of them; in the long run after each.
 */
const tried = (writes: number): number[] => {
  const all = Array.from({ length: writes }, (_, index) => index + 1);
  return LONG || writes <= 6 ? all : all.filter((n) => n <= 3 || n > writes - 3);
};

describe('each write of each function fails once: all is as before, it is said, and the next try does it', () => {
  for (const [name, write] of Object.entries(WRITES))
    test(name, async () => {
      await put(start);
      await FIRST[name]?.(at);
      const ready = await dump();
      const watch = failAt(0);
      await write(at);
      watch.end();
      const done = await dump();
      const writes = watch.seen();
      assert.ok(writes > 0, 'it writes something');
      assert.notEqual(asText(done), asText(ready), 'it changes something');
      await put(ready);
      const tries = tried(writes);
      for (const n of tries) {
        const failing = failAt(n);
        await assert.rejects(write(at), (error) => failureOf(error) === 'full', `write ${n} of ${writes}`);
        failing.end();
        assert.equal(asText(await dump()), asText(ready), `after write ${n} of ${writes} failed`);
        if (!LONG && n !== tries.at(-1)) continue;
        await write(at);
        assert.equal(counts(await dump()), counts(done), `tried again after write ${n} of ${writes}`);
        if (n !== tries.at(-1)) await put(ready);
      }
    });
});

/** What only reads, writes inside the transaction of one that is listed, or keeps a cache that can be missed. */
const OTHERS = new Set([
  'attempts.attemptsOf', 'attempts.attemptsOfStudent', 'backups.shelfStamp', 'backups.backupState',
  'columns.loadColumn', 'columns.keepColumns', 'comments.commentsOf', 'comments.commentOn', 'comments.commentsByAttempt', 'comments.earlierComments', 'steps.keyField', 'steps.record', 'steps.editing',
  'steps.undoLastIf', 'steps.inverted', 'steps.stepsThatStand', 'steps.stepsUndone', 'steps.standingStep', 'steps.stepOf', 'steps.keyedBetween',
  'steps.keyedSince', 'steps.nextSteps', 'imports.existingWork',
  'imports.mappingOf', 'media.pictureBlob', 'overrides.overridesOf', 'quizzes.head', 'quizzes.getQuiz', 'quizzes.getQuestions',
  'quizzes.draftPaper', 'revisions.paperAt', 'revisions.questionRevsAt', 'revisions.currentRevision', 'revisions.settle',
  'revisions.settleByClosing', 'revisions.undoableRevision', 'roster.everybody', 'roster.school', 'roster.classList', 'roster.studentsSetTo', 'roster.listedStudents', 'classes.isDemo', 'classes.listClasses',
  'classes.usualClasses', 'classes.canDeleteClass', 'rulings.rulingsOf',
  'rulings.keptMarked', 'rulings.rulingOf', 'scoreColumns.scoreColumns', 'shelf.listQuizzes', 'shelf.schoolState',
]); // prettier-ignore

test('no function of the store is left out', () => {
  const modules = {
    attempts,
    typedPapers,
    sittingActs,
    backups,
    classes,
    columns,
    comments,
    demo,
    edits,
    steps,
    undoing,
    imports,
    media,
    overrides,
    quizzes,
    restore,
    revisions,
    roster,
    rulings,
    scoreColumns,
    shelf,
    standing,
  };
  const names = Object.entries(modules).flatMap(([module, all]) =>
    Object.entries(all).flatMap(([name, value]) => (typeof value === 'function' ? `${module}.${name}` : [])),
  );
  assert.deepEqual(
    names.filter((name) => !WRITES[name] && !OTHERS.has(name)),
    [],
  );
});
