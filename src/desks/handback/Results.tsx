import { useMemo } from 'react';
import { notCountedWords } from '@/core/scoring/words';
import { ASPECTS } from '@/core/quiz/plan/plan';
import { aspectsByHand, isShownAlone } from '@/core/reveal/byHand';
import { showStudent } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { CommentField } from '@/ui/teacher/CommentField';
import { points } from '@/ui/words/figures';
import { LongRows } from '@/ui/widgets/layout/LongRows';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import type { HandBackRow } from '@/workers/classDesk';
import { printAddress } from './printAddress';

/** The questions come with what stands on them, and how the class did is nothing of the student's own. */
const TOLD = ASPECTS.filter((aspect) => aspect !== 'questions' && aspect !== 'classDid');

function seenWords({ shown, waitsForTeacher, notCounted }: HandBackRow): string {
  // Of an attempt that does not count there is no score to see.
  if (notCounted) return `no score: ${notCountedWords(notCounted)}`;
  const missing = TOLD.filter((aspect) => !shown.includes(aspect));
  if (missing.length === 0) return 'everything';
  if (missing.length <= 2)
    return `everything but ${missing.map((aspect) => ASPECT_NAMES[aspect]).join(' and ')}`;
  const told = TOLD.filter((aspect) => shown.includes(aspect));
  if (told.length > 0) return told.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
  return waitsForTeacher.length > 0 ? 'nothing until you show it' : 'nothing yet';
}

interface RowProps {
  readonly index: number;
  readonly measure: (element: Element | null) => void;
  readonly row: HandBackRow;
  /** The class, where there are several. */
  readonly ofClass: string | null;
  /** True where the plan has something that waits for the teacher's press. */
  readonly byHand: boolean;
}

const RecordedScore = ({ recorded }: { readonly recorded: NonNullable<HandBackRow['recorded']> }) => (
  <>
    <span className="font-semibold">{points(recorded.score)}</span>{' '}
    <span className="text-soft">of {points(recorded.outOf)}</span>
    {recorded.waiting.n > 0 && (
      <span className="block text-[12.5px] text-saffron-text">
        +{points(recorded.waiting)} not marked yet
      </span>
    )}
  </>
);

/** Shows everything that waits to one student, or takes it back. */
function ShowOne({ row }: { readonly row: HandBackRow }) {
  const { quiz } = useQuiz();
  const alone = isShownAlone(quiz.standing.acts, row.studentId);
  if (!alone && row.waitsForTeacher.length === 0) return null;
  const press = async () => {
    const step = await showStudent(quiz.id, row.studentId, alone ? 'takeBack' : 'show');
    notify(alone ? `Hidden from ${row.name} again` : `Shown to ${row.name}`, {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
  };
  return (
    <button type="button" className="btn btn-xs btn-outline mr-3" onClick={() => run(press)}>
      {alone ? 'Hide' : 'Show'}
      <span className="sr-only">{alone ? ` from ${row.name}` : ` to ${row.name}`}</span>
    </button>
  );
}

/** What can be done about one student's result. */
function Ways({ row, byHand }: Pick<RowProps, 'row' | 'byHand'>) {
  const { id } = useQuiz().quiz;
  const slip = `/sit/?quiz=${encodeURIComponent(id)}&ticket=${encodeURIComponent(row.ticket)}`;
  return (
    <>
      {byHand && <ShowOne row={row} />}
      <a className="link-text" href={slip} target="_blank" rel="noopener">
        Results<span className="sr-only"> of {row.name}</span>
      </a>{' '}
      <a
        className="link-text ml-2 max-sm:ml-4"
        href={printAddress(id, 'with', { student: row.studentId })}
        target="_blank"
        rel="noopener"
      >
        Print<span className="sr-only"> the results of {row.name}</span>
      </a>
    </>
  );
}

const WholeComment = ({ row }: { readonly row: HandBackRow }) => (
  <CommentField
    attemptId={row.attemptId}
    questionId=""
    label={`Comment to ${row.name}`}
    placeholder="Comment"
    quiet
  />
);

function Row({ row, ofClass, byHand, index, measure }: RowProps) {
  return (
    <tr ref={measure} data-index={index} className="border-b border-hair align-middle hover:bg-base-200">
      <th scope="row" className="py-2 pr-4 pl-9 text-left font-semibold">
        <StudentName name={row.name} apart={row.apart} />
      </th>
      {ofClass !== null && <td className="caption py-2 pr-4">{ofClass}</td>}
      <td className="figures py-2 pr-5 text-right whitespace-nowrap">
        {row.recorded ? <RecordedScore recorded={row.recorded} /> : '–'}
      </td>
      <td className="caption py-2 pr-4">{seenWords(row)}</td>
      <td className="w-64 py-1 pr-4">
        <WholeComment row={row} />
      </td>
      <td className="py-2 pr-9 text-right whitespace-nowrap">
        <Ways row={row} byHand={byHand} />
      </td>
    </tr>
  );
}

/** The same on a phone: what belongs to a student below the name. */
function Item({ row, ofClass, byHand, index, measure }: RowProps) {
  return (
    <li ref={measure} data-index={index} className="border-b border-hair px-4 py-2">
      <div className="flex items-baseline gap-3">
        <p className="min-w-0 flex-1 font-semibold">
          <StudentName name={row.name} apart={row.apart} />
        </p>
        <p className="figures text-right whitespace-nowrap">
          {row.recorded ? <RecordedScore recorded={row.recorded} /> : '–'}
        </p>
      </div>
      <p className="caption">
        {ofClass && `${ofClass} · `}sees {seenWords(row)}
      </p>
      <WholeComment row={row} />
      <p className="flex min-h-9 items-center">
        <Ways row={row} byHand={byHand} />
      </p>
    </li>
  );
}

interface ResultsProps {
  readonly rows: readonly HandBackRow[];
  /** The class of each student; null where there is one alone. */
  readonly classOf: ReadonlyMap<string, string> | null;
  readonly byHand: boolean;
}

const ResultTable = ({ rows, classOf, byHand }: ResultsProps) => (
  <table className="mt-4 w-full">
    <thead>
      <tr className="label-small border-b border-line text-left">
        <th className="pb-1 pl-9 font-semibold">Student</th>
        {classOf && <th className="pb-1 font-semibold">Class</th>}
        <th className="pr-5 pb-1 text-right font-semibold">Score</th>
        <th className="pb-1 font-semibold">Sees now</th>
        <th className="pb-1 font-semibold">Comment</th>
        <th className="pb-1">
          <span className="sr-only">What can be done</span>
        </th>
      </tr>
    </thead>
    <LongRows
      rows={rows}
      height={46}
      keyOf={({ studentId }) => studentId}
      draw={(row, at) => (
        <Row
          key={row.studentId}
          row={row}
          ofClass={classOf && (classOf.get(row.studentId) ?? '')}
          byHand={byHand}
          {...at}
        />
      )}
    />
  </table>
);

const ResultList = ({ rows, classOf, byHand }: ResultsProps) => (
  <div className="mt-3 border-t border-line">
    <LongRows
      rows={rows}
      as="list"
      height={128}
      keyOf={({ studentId }) => studentId}
      draw={(row, at) => (
        <Item
          key={row.studentId}
          row={row}
          ofClass={classOf && (classOf.get(row.studentId) ?? '')}
          byHand={byHand}
          {...at}
        />
      )}
    />
  </div>
);

/** Everyone with finished work: what is recorded, what they see, and what can be done about it. */
export function Results({ rows, classOf }: Pick<ResultsProps, 'rows' | 'classOf'>) {
  const { quiz } = useQuiz();
  const byHand = useMemo(
    () => aspectsByHand(quiz.content.plan, quiz.standing.plans).length > 0,
    [quiz.content.plan, quiz.standing.plans],
  );
  const View = useNarrow('phone') ? ResultList : ResultTable;
  return <View rows={rows} classOf={classOf} byHand={byHand} />;
}
