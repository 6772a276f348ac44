import { FINEST } from '../../figures/fraction';
import type { FractionData } from '../../figures/schema';
import type { Question } from '../../kinds';
import { pictureHashes } from '../../content/pictureHashes';
import type { Member, Person, SchoolClass } from '../../quiz/people/school';
import type { QuizContent } from '../../quiz/quiz';
import { placeWords } from './locatedMessages';
import type { ClassPart, RecordChange, Step, WrittenQuiz } from './schema';

/** What a schema cannot say: ids that stand twice, and references that lead nowhere. Every check gives its first finding. */

function twice<One>(
  list: readonly One[],
  key: (one: One) => string,
  words: (one: One, at: number) => string,
): string[] {
  const seen = new Set<string>();
  for (const [at, one] of list.entries()) {
    const id = key(one);
    if (seen.has(id)) return [words(one, at + 1)];
    seen.add(id);
  }
  return [];
}

/** Lists inside a question whose entries have ids. */
function innerTwice(question: Question, at: number): string[] {
  return Object.entries(question).flatMap(([name, list]) => {
    if (!Array.isArray(list) || !list.every((one) => typeof one === 'object' && one !== null && 'id' in one))
      return [];
    const found = twice(
      list as { id: string }[],
      ({ id }) => id,
      (_, entry) => `question ${at}: entry ${entry} of ${name} has the id of another one`,
    );
    return found;
  });
}

/** Questions, sections and their order: each once, each in the order. */
export function checkQuestions(
  questions: readonly Question[],
  { order, sections }: Pick<QuizContent, 'order' | 'sections'>,
  where = '',
): string[] {
  const parts = [...questions, ...sections];
  const ids = new Set(parts.map(({ id }) => id));
  return [
    ...twice(
      questions,
      ({ id }) => id,
      (_, at) => `${where}question ${at} has the id of another question`,
    ),
    ...twice(
      order,
      (id) => id,
      (_, at) => `${where}entry ${at} of the order repeats an earlier one`,
    ),
    ...(new Set(questions.map(({ id }) => id)).size < questions.length
      ? []
      : twice(
          parts,
          ({ id }) => id,
          (_, at) => `${where}section ${at - questions.length} has the id of another one`,
        )),
    ...order
      .filter((id) => !ids.has(id))
      .slice(0, 1)
      .map((id) => `${where}the order names “${id}”, which is not there`),
    ...questions
      .flatMap((question, at) => innerTwice(question, at + 1).map((text) => where + text))
      .slice(0, 1),
    ...parts
      .filter(({ id }) => !order.includes(id))
      .slice(0, 1)
      .map(({ id }) => `${where}the order leaves out “${id}”`),
  ];
}

/** Placements: every question has one, and no question that is not there. */
function checkPlacements({ questions, placements }: WrittenQuiz): string[] {
  const placed = new Set(placements.map(({ questionId }) => questionId));
  const ids = new Set(questions.map(({ id }) => id));
  return [
    ...twice(
      placements,
      ({ questionId }) => questionId,
      ({ questionId }, at) => `settings of question ${at} repeats the question “${questionId}”`,
    ),
    ...placements
      .flatMap(({ questionId }, at) =>
        ids.has(questionId)
          ? []
          : [`settings of question ${at + 1} is for a question “${questionId}” that is not there`],
      )
      .slice(0, 1),
    ...questions
      .filter(({ id }) => !placed.has(id))
      .slice(0, 1)
      .map(({ id }) => `the question “${id}” has no place`),
  ];
}

const commonMultiple = (a: bigint, b: bigint): bigint => {
  let [x, y] = [a, b];
  while (y !== 0n) [x, y] = [y, x % y];
  return (a / x) * b;
};

/** Shares as they stand in a record, with their places. */
function* sharesIn(value: unknown, path: readonly PropertyKey[]): Generator<[FractionData, PropertyKey[]]> {
  if (typeof value !== 'object' || value === null) return;
  const { n, d } = value as Partial<FractionData>;
  if (typeof n === 'number' && typeof d === 'number') yield [{ n, d }, [...path]];
  else if (Array.isArray(value)) for (const [at, one] of value.entries()) yield* sharesIn(one, [...path, at]);
  else for (const [name, one] of Object.entries(value)) yield* sharesIn(one, [...path, name]);
}

/** The first share that cannot be added to those before it in exact figures: see `fraction.ts`. */
export function checkShares({ questions, content }: WrittenQuiz): string[] {
  let parts = 1n;
  for (const [share, path] of sharesIn({ content, questions }, [])) {
    parts = commonMultiple(parts, BigInt(share.d));
    if (parts > BigInt(FINEST))
      return [
        `${placeWords(path)} is ${share.n}/${share.d}, which cannot be added to the other shares of the quiz in exact figures`,
      ];
  }
  return [];
}

export const checkQuiz = (quiz: WrittenQuiz): string[] => [
  ...checkQuestions(quiz.questions, quiz.content),
  ...checkPlacements(quiz),
];

/** What is wrong with the attempts of a class, as they stand beside each other. */
function checkAttempts(part: ClassPart, students: readonly Person[]): string[] {
  const known = new Set(students.map(({ id }) => id));
  const revs = new Set(part.revisions.map(({ rev }) => rev));
  return [
    ...twice(
      part.attempts,
      ({ id }) => id,
      (_, at) => `attempt ${at} has the id of another attempt`,
    ),
    ...twice(
      part.attempts,
      ({ studentId, number }) => `${studentId}/${number}`,
      ({ number }, at) => `attempt ${at} duplicates its student’s attempt ${number}`,
    ),
    ...part.attempts
      .flatMap(({ studentId }, at) =>
        known.has(studentId) ? [] : [`attempt ${at + 1} belongs to a student who is not there`],
      )
      .slice(0, 1),
    ...part.attempts
      .flatMap(({ revision }, at) =>
        revs.has(revision) ? [] : [`attempt ${at + 1} was shown revision ${revision}, which is not there`],
      )
      .slice(0, 1),
  ];
}

/** What is wrong with the revisions, and with those of the questions that they name. */
function checkRevisions(part: ClassPart): string[] {
  const questionRevs = new Set(part.questionRevisions.map(({ questionId, rev }) => `${questionId}/${rev}`));
  return [
    ...twice(
      part.revisions,
      ({ rev }) => String(rev),
      ({ rev }, at) => `revision ${at} repeats number ${rev}`,
    ),
    ...twice(
      part.questionRevisions,
      (one) => `${one.questionId}/${one.rev}`,
      (_, at) => `question revision ${at} repeats an earlier one`,
    ),
    ...part.questionRevisions
      .flatMap(({ questionId, question, placement }, at) =>
        question.id === questionId && placement.questionId === questionId
          ? []
          : [`question revision ${at + 1} belongs to a different question than it says`],
      )
      .slice(0, 1),
    ...part.revisions
      .flatMap((revision, at) =>
        Object.entries(revision.questionRevs)
          .filter(([id, rev]) => !questionRevs.has(`${id}/${rev}`))
          .map(([id]) => `revision ${at + 1} names a question “${id}” that is not there`),
      )
      .slice(0, 1),
  ];
}

/** Work, revisions and what hangs on them; `students` are those whom attempts may name. */
export function checkClass(quizId: string, part: ClassPart, students: readonly Person[]): string[] {
  const attempts = new Set(part.attempts.map(({ id }) => id));
  const revs = new Set(part.revisions.map(({ rev }) => rev));
  const lost = <One extends { attemptId: string }>(list: readonly One[], name: string): string[] =>
    list
      .flatMap((one, at) =>
        attempts.has(one.attemptId) ? [] : [`${name} ${at + 1} belongs to an attempt that is not there`],
      )
      .slice(0, 1);
  const foreign = <One extends { quizId: string }>(list: readonly One[], name: string): string[] =>
    list
      .flatMap((one, at) => (one.quizId === quizId ? [] : [`${name} ${at + 1} belongs to another quiz`]))
      .slice(0, 1);
  const { live } = part.standing;
  return [
    ...checkAttempts(part, students),
    ...foreign(part.attempts, 'attempt'),
    ...foreign(part.overrides, 'own score'),
    ...foreign(part.rulings, 'ruling'),
    ...foreign(part.comments, 'comment'),
    ...foreign(part.looks, 'look'),
    ...twice(
      part.looks,
      (one) => one.studentId,
      (_, at) => `look ${at} is of a student who has one already`,
    ),
    ...twice(
      part.overrides,
      (one) => `${one.attemptId}/${one.questionId}`,
      (_, at) => `own score ${at} is for an answer that has one already`,
    ),
    ...twice(
      part.rulings,
      (one) => one.attemptId,
      (_, at) => `ruling ${at} is for an attempt that has one already`,
    ),
    ...twice(
      part.comments,
      (one) => `${one.attemptId}/${one.questionId}`,
      (_, at) => `comment ${at} is for an answer that has one already`,
    ),
    ...lost(part.overrides, 'own score'),
    ...lost(part.rulings, 'ruling'),
    ...lost(part.comments, 'comment'),
    ...checkRevisions(part),
    ...(live !== null && !revs.has(live) ? [`the revision that counts, ${live}, is not there`] : []),
    ...(live === null && part.firstHandInAt !== null
      ? ['somebody has handed in, but no revision counts']
      : []),
  ];
}

/** Whether what a change writes is the record that it names, and belongs to the scope that it is a step of. */
function isOwn(change: RecordChange, scope: string): boolean {
  const values: readonly unknown[] = [change.before, change.after];
  const all = (fits: (value: Readonly<Record<string, unknown>>) => boolean): boolean =>
    values.every((value) => value === null || fits(value as Readonly<Record<string, unknown>>));
  const isOfQuiz = !scope.startsWith('#');
  switch (change.kind) {
    case 'content':
    case 'standing':
    case 'live':
      return isOfQuiz;
    case 'question':
      return (
        isOfQuiz &&
        [change.before, change.after].every(
          (value) =>
            value === null || (value.question.id === change.id && value.placement.questionId === change.id),
        )
      );
    case 'override':
    case 'comment':
      return (
        isOfQuiz &&
        all(
          (value) =>
            value['quizId'] === scope &&
            value['attemptId'] === change.attemptId &&
            value['questionId'] === change.questionId,
        )
      );
    case 'ruling':
      return isOfQuiz && all((value) => value['quizId'] === scope && value['attemptId'] === change.attemptId);
    case 'attempt':
      return isOfQuiz && all((value) => value['quizId'] === scope && value['id'] === change.id);
    case 'student':
    case 'class':
      return all((value) => value['id'] === change.id);
    case 'member':
      return all((value) => value['classId'] === change.classId && value['studentId'] === change.studentId);
    case 'shelf':
      return !isOfQuiz;
  }
}

/** Steps that can be undone: each writes only what it names, in its own scope (a quiz, the class list, the Shelf). */
export const checkSteps = (scope: string, steps: readonly Step[]): string[] =>
  steps
    .flatMap(({ changes }, at) =>
      changes.every((change) => isOwn(change, scope))
        ? []
        : [`step ${at + 1} of its history changes something that is not its own`],
    )
    .slice(0, 1);

/** Students and classes, and who is in which. */
export function checkSchool({
  students,
  classes,
  members,
}: {
  readonly students: readonly Person[];
  readonly classes: readonly SchoolClass[];
  readonly members: readonly Member[];
}): string[] {
  const [people, lists] = [students, classes].map((all) => new Set(all.map(({ id }) => id)));
  return [
    ...twice(
      students,
      ({ id }) => id,
      (_, at) => `student ${at} has the id of another student`,
    ),
    ...twice(
      classes,
      ({ id }) => id,
      (_, at) => `class ${at} has the id of another class`,
    ),
    ...twice(
      members,
      ({ classId, studentId }) => `${classId}/${studentId}`,
      (_, at) => `class list entry ${at} is for a student who is on that list already`,
    ),
    ...members
      .flatMap(({ classId, studentId }, at) => {
        if (!people?.has(studentId)) return [`class list entry ${at + 1} is for a student who is not there`];
        return lists?.has(classId) ? [] : [`class list entry ${at + 1} is for a class that is not there`];
      })
      .slice(0, 1),
  ];
}

/** The first picture that the content shows and the file does not hold. */
export function checkPictures(data: unknown, pictures: ReadonlyMap<string, unknown>): string[] {
  const missing = [...pictureHashes(data)].filter((hash) => !pictures.has(hash));
  return missing.slice(0, 1).map((hash) => `the picture ${hash.slice(0, 12)}… is not in the file`);
}
