import { useEffect, useState } from 'react';
import { pictureBlob } from '@/store/quiz/pictures';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { Commands } from '@/ui/teacher/Commands';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed, startingFailed } from '@/ui/words/failureWords';
import { useTelling } from '@/ui/told/useTelling';
import { TextsIn, ToldIn } from '@/ui/told/useTold';
import { count } from '@/ui/words/figures';
import { PictureSource } from '@/ui/widgets/paper/Picture';
import { SlipSheet } from '@/ui/widgets/paper/SlipSheet';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useReady } from '@/ui/teacher/useReady';
import { classWorker } from '@/workers/clients';

/** Slips for paper: one student per page, with or without the right answers. */
export function Print() {
  return (
    <Boundary name="print">
      <Slips />
    </Boundary>
  );
}

function Slips() {
  const query = new URLSearchParams(location.search);
  const quizId = query.get('quiz') ?? '';
  const student = query.get('student');
  const of = query.get('of');
  /** Whose results: of one student, of a class or a group, or null for everybody’s. */
  const those = async (): Promise<readonly string[] | null> => {
    if (student) return [student];
    if (of === null) return null;
    return (await classWorker().circles(quizId)).find(({ name }) => name === of)?.studentIds ?? [];
  };
  const [right, setRight] = useState<'with' | 'without'>(
    query.get('right') === 'without' ? 'without' : 'with',
  );
  const ready = useReady();
  const { value, failure, again } = useQuery(
    async () => (ready === 'ready' ? classWorker().printed(quizId, right, await those()) : null),
    [ready, quizId, right, student, of],
  );
  const trouble =
    ready !== 'ready' && ready !== 'starting' ? startingFailed(ready) : failure && readingFailed(failure);
  const telling = useTelling(value?.language ?? null, value?.decimalSign ?? null, false);
  const slips = value?.slips ?? [];
  // A file that is printed to is named by it.
  const whose = of !== null ? ` of ${of}` : slips.length === 1 ? ` of ${slips[0]?.name}` : '';
  const title = value && `${value.title || 'Untitled quiz'}: results${whose}`;
  useEffect(() => {
    if (title) document.title = title;
  }, [title]);
  const actions = [
    { name: 'Print', run: () => print() },
    {
      name: 'Go to the quiz',
      run: () => location.assign(`/quiz/?id=${encodeURIComponent(quizId)}#handback`),
    },
    { name: 'Go to the Shelf', run: () => location.assign('/') },
  ];
  return (
    <PictureSource value={pictureBlob}>
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line bg-paper px-6 py-3 print:hidden">
        <h1 className="text-[18px]">Printed results</h1>
        <p className="caption flex-1">
          {count(slips.length, 'result sheet')}; long ones run on to a second page
        </p>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--petrol)]"
            checked={right === 'with'}
            onChange={(event) => setRight(event.target.checked ? 'with' : 'without')}
          />
          With the right answers
        </label>
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={slips.length === 0}
          onClick={() => print()}
        >
          Print
        </button>
        <Commands actions={actions} />
      </header>
      <main>
        {!value && !trouble && <p className="py-16 text-center text-soft">Marking…</p>}
        {trouble && <Failed className="mx-auto my-12 max-w-2xl" text={trouble} onAgain={again} />}
        {value && slips.length === 0 && (
          <p className="py-16 text-center">No attempt counts yet, so there is nothing to print.</p>
        )}
        {value && telling && (
          <ToldIn value={telling}>
            <TextsIn value={value.language}>
              {slips.map((printed) => (
                <SlipSheet
                  key={printed.studentId}
                  title={value.title}
                  of={printed}
                  className="mx-auto my-6 max-w-[720px] break-after-page bg-paper px-10 py-8 last:break-after-auto print:m-0 print:max-w-none print:p-0"
                />
              ))}
            </TextsIn>
          </ToldIn>
        )}
      </main>
    </PictureSource>
  );
}
