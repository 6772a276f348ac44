import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { answersFile } from '@/core/away/answersText';
import { orderFor } from '@/core/away/paperData';
import { openPaperDesk } from '@/desks/sit/away/paperDesk';
import { sittingsOf } from '@/desks/sit/away/keptSittings';
import { now } from '@/device/clock';
import { newId } from '@/device/ids';
import { openQuiz, setQuizTo } from '@/store/quiz/standing';
import { undo } from '@/store/undo/undo';
import { judgeAnswers, takeAnswers } from '@/store/work/answersIn';
import { paperForAll, papersForEach, studentsWithOwnTimes, type OwnPaper } from '@/store/work/papersOut';
import { attemptsOf } from '@/store/work/attempts';
import { saveStudent } from '@/store/class/roster';
import { liveClass, workOf } from '@/views/papers';
import { classDesk } from '@/workers/classDesk';
import { anHourIn, HOUR, later, MINUTE, quiz, say, START } from '../support/openQuiz';
import { keptIn } from '../support/keptIn';
import { addressOf } from '../support/sat';

beforeEach(anHourIn);

/** What a student saves out of the file for everyone, after answering the one question. */
async function answersOf(quizId: string, studentId: string, text: string, browser = keptIn()) {
  const data = await paperForAll(quizId);
  const desk = openPaperDesk({
    data,
    sittings: sittingsOf(`${quizId}:${data.revision}`, browser),
    now,
    newId,
  });
  const { ticket } = await addressOf(quizId, studentId);
  desk.begin(ticket);
  later(MINUTE);
  await desk.port.saveAnswer(
    { quizId, ticket },
    { attemptId: 'x', questionId: 'q1', answer: say(text), page: 'p', number: 1 },
  );
  const saved = desk.save(ticket);
  assert.ok(saved);
  assert.equal(saved.seed, data.orders[orderFor(ticket, data.orders.length)]?.seed);
  return { name: `${studentId}.json`, text: answersFile(saved) };
}

const scores = async (quizId: string) =>
  workOf(await liveClass(quizId)).map(({ student, recorded }) => [student?.name, recorded?.score.n]);

test('out as a file, answered, in by the Tray: the right scores, in one step that is undone and redone', async () => {
  const id = await quiz();
  const sources = [await answersOf(id, 's1', 'silt'), await answersOf(id, 's2', 'water')];
  assert.deepEqual(
    (await judgeAnswers(id, sources)).map(({ becomes }) => becomes),
    ['new', 'new'],
  );
  assert.deepEqual(await attemptsOf(id), []);
  const { step } = await takeAnswers(id, sources);
  assert.ok(step);
  assert.deepEqual(await scores(id), [
    ['Ada Marsh', 1],
    ['Bo Weir', 0],
  ]);
  const rows = await classDesk.tray(id);
  assert.deepEqual(
    rows.map(({ state, source }) => [state, source]),
    [
      ['handedIn', 'brought'],
      ['handedIn', 'brought'],
    ],
  );
  assert.ok(await undo(id));
  assert.deepEqual(await attemptsOf(id), []);
});

test('brought again with other answers it takes the place of what was there, and undo brings that back', async () => {
  const id = await quiz();
  const browser = keptIn();
  await takeAnswers(id, [await answersOf(id, 's1', 'water', browser)]);
  const later_ = await answersOf(id, 's1', 'silt', browser);
  assert.deepEqual(
    (await judgeAnswers(id, [later_])).map(({ becomes }) => becomes),
    ['later'],
  );
  await takeAnswers(id, [later_]);
  assert.deepEqual(await scores(id), [['Ada Marsh', 1]]);
  assert.equal((await takeAnswers(id, [later_])).step, null);
  await undo(id);
  assert.deepEqual(await scores(id), [['Ada Marsh', 0]]);
});

test('what is brought after closing waits for the teacher, and counts once it is taken in', async () => {
  const id = await quiz();
  const source = await answersOf(id, 's1', 'silt');
  later(30 * MINUTE);
  const late = await answersOf(id, 's2', 'silt');
  await openQuiz(id, { from: START, due: null, grace: 0, until: START + HOUR + 10 * MINUTE });
  await takeAnswers(id, [source, late]);
  assert.deepEqual(
    (await classDesk.tray(id)).map(({ state }) => state),
    ['handedIn', 'tooLate'],
  );
});

test('a quiz that is set for nobody takes nothing in', async () => {
  const id = await quiz();
  const source = await answersOf(id, 's1', 'silt');
  await setQuizTo(id, []);
  const [judged] = await judgeAnswers(id, [source]);
  assert.equal(judged?.becomes === 'nothing' && judged.problem, 'notSet');
  assert.equal((await takeAnswers(id, [source])).step, null);
});

test('a file for each student has that student’s ticket and time, and nobody’s name', async () => {
  const id = await quiz({ timeLimit: 20 });
  await addressOf(id, 's1');
  await addressOf(id, 's2');
  await saveStudent('s2', { moreTime: { kind: 'minutes', minutes: 10 } });
  assert.equal(await studentsWithOwnTimes(id), 1);
  const all: OwnPaper[] = [];
  await papersForEach(id, (one) => void all.push(one));
  assert.deepEqual(
    all.map(({ paper }) => paper.cover.timeLimit),
    [20, 30],
  );
  for (const { student, paper } of all) {
    assert.equal(paper.ticket, (await addressOf(id, student.id)).ticket);
    assert.ok(!JSON.stringify(paper).includes(student.name));
    assert.equal(paper.orders.length, 1);
  }
});
