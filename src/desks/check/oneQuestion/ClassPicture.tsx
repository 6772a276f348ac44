import { lazy, Suspense, useMemo } from 'react';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { classWorker } from '@/workers/clients';
import type { CheckTable } from '@/workers/classDesk';
import type { ViewProps } from '../viewProps';
import type { Rows } from './beside';
import type { PictureProps, Pressed } from './picture';
import { ChoiceShares } from './ChoiceShares';
import { Givers } from './Givers';
import { PlacesGrid } from './PlacesGrid';
import { SpotsOnPicture } from './SpotsOnPicture';

// The one drawing that takes a library of charts.
const NumberLine = lazy(() => import('./NumberLine').then((file) => ({ default: file.NumberLine })));

function usePicture(table: CheckTable, questionId: string, rows: Rows) {
  const { quiz } = useQuiz();
  const shown = useMemo(
    () => (rows.size === table.rows.length ? null : [...rows.keys()]),
    [rows, table.rows.length],
  );
  const { value, failure, again } = useQuery(
    async () => ({ questionId, opened: await classWorker().classPicture(quiz.id, questionId, shown) }),
    [quiz.id, questionId, table, shown],
  );
  return { opened: value?.questionId === questionId ? value.opened : null, failure, again };
}

const Drawn = (props: PictureProps) => {
  const { picture } = props.opened;
  switch (picture.form) {
    case 'shares':
      return <ChoiceShares {...props} picture={picture} />;
    case 'places':
      return <PlacesGrid {...props} picture={picture} />;
    case 'spots':
      return <SpotsOnPicture {...props} picture={picture} />;
    case 'line':
      return (
        <Suspense fallback={<div className="h-40" aria-hidden />}>
          <NumberLine picture={picture} />
        </Suspense>
      );
  }
};

interface WhoProps extends Pick<Props, 'rows' | 'place' | 'onPlace'> {
  readonly pressed: Pressed;
}

/** Those behind what was pressed: a press on a name takes their answer in hand. */
function Who({ pressed, rows, place, onPlace }: WhoProps) {
  const { what, who } = pressed;
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-3 bg-wash px-3 py-1.5 text-[13.5px]" role="status">
      <span>
        {what}: {who.length === 0 && 'nobody'}
      </span>
      <Givers attemptIds={who} {...{ rows, place, onPlace }} />
    </p>
  );
}

interface Props extends Pick<ViewProps, 'table' | 'place' | 'onPlace'> {
  readonly questionId: string;
  readonly rows: Rows;
  /** What of it is looked at; null for nothing. */
  readonly pressed: Pressed | null;
  readonly onPress: (pressed: Pressed | null) => void;
}

/** Everybody's answers to a question at once, drawn as its kind is: nothing for a kind that is best read side by side. */
export function ClassPicture({ table, questionId, rows, place, onPlace, pressed, onPress }: Props) {
  const { opened, failure, again } = usePicture(table, questionId, rows);
  if (failure) return <Failed className="mx-6 mt-4" text={readingFailed(failure)} onAgain={again} />;
  if (!opened) return null;
  return (
    <WithFormulas formulas={opened.formulas}>
      <section className="mt-4 mb-6 px-6 max-sm:px-3" aria-label="Class overview">
        <h3 className="label-small pb-1">Class overview</h3>
        <Drawn
          opened={opened}
          pressed={pressed?.what ?? null}
          onPress={(next) => onPress(pressed?.what === next.what ? null : next)}
        />
        {pressed && <Who pressed={pressed} {...{ rows, place, onPlace }} />}
      </section>
    </WithFormulas>
  );
}
