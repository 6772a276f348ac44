import { Fragment, type ReactNode } from 'react';
import type { ShownAnswer as Data, ShownThing } from '@/core/content/shownAnswer';
import { valueAt } from '@/core/figures/valueAt';
import { useText, useTold } from '../../told/useTold';
import { Words } from './Formula';
import { OnPicture } from './OnPicture';
import { Picture } from './Picture';

/** What stands before and behind one entry of an answer: how it came out, and what would help. */
export interface BesideEntry {
  readonly before: ReactNode;
  readonly behind: ReactNode;
}

interface Props {
  readonly answer: Data;
  /** Beside each entry, in their order; entries without one have nothing. */
  readonly beside?: readonly BesideEntry[];
}

/** Words of ours in the reader's language, those of the quiz as they are. */
function Text({ text, said }: Pick<ShownThing, 'text' | 'said'>) {
  const { results, filling } = useTold();
  const own = useText();
  if (said === undefined)
    return (
      <bdi {...own}>
        <Words text={text} />
      </bdi>
    );
  return typeof said === 'string' ? (valueAt(results.said, said) ?? text) : filling.gap(said.gap);
}

function Thing({ thing }: { readonly thing: ShownThing | null }) {
  const { noAnswer } = useTold().results;
  if (thing === null) return <span className="font-normal text-soft">{noAnswer}</span>;
  return (
    <>
      {thing.picture && <Picture picture={thing.picture} seen />}
      <Text {...thing} />
    </>
  );
}

const hasPicture = (things: readonly (ShownThing | null)[]): boolean =>
  things.some((thing) => thing !== null && thing.picture !== null);

/** Things beside each other: words parted by commas, pictures by room. */
function Things({ things }: { readonly things: readonly (ShownThing | null)[] }) {
  if (hasPicture(things))
    return (
      <span className="flex flex-wrap items-end gap-x-4 gap-y-1">
        {things.map((thing, at) => (
          <span key={at}>
            <Thing thing={thing} />
          </span>
        ))}
      </span>
    );
  return things.map((thing, at) => (
    <Fragment key={at}>
      {at > 0 && ', '}
      <Thing thing={thing} />
    </Fragment>
  ));
}

/** One entry with what stands beside it. */
const Entry = ({
  beside,
  children,
}: {
  readonly beside: BesideEntry | undefined;
  readonly children: ReactNode;
}) =>
  beside ? (
    <>
      {beside.before} {children}
      {beside.behind}
    </>
  ) : (
    children
  );

/** Things below each other, each with what stands beside it. */
const ThingLines = ({
  things,
  beside,
}: {
  readonly things: readonly (ShownThing | null)[];
  readonly beside: readonly BesideEntry[];
}) =>
  things.map((thing, at) => (
    <li key={at}>
      <Entry beside={beside[at]}>
        <Thing thing={thing} />
      </Entry>
    </li>
  ));

/** A spot by its number, and by the area in which it lies where that is told. */
function SpotName({ n, area }: { readonly n: number; readonly area: string | null | undefined }) {
  const { spotting } = useTold();
  return (
    <span className="font-semibold">
      {spotting.spot(n)}
      {area && (
        <>
          {': '}
          <Text text={area} />
        </>
      )}
    </span>
  );
}

/** An answer as people are shown it, of whatever kind. Without anything beside its entries it says nothing of what is right. */
export function ShownAnswer({ answer, beside = [] }: Props) {
  switch (answer.form) {
    case 'text':
      return (
        <span className="font-semibold wrap-anywhere whitespace-pre-line">
          <Text {...answer} />
        </span>
      );
    case 'onPicture':
      return (
        <>
          <OnPicture answer={answer} />
          {beside.length > 0 && (
            <ul>
              {beside.map((one, at) => (
                <li key={at}>
                  <Entry beside={one}>
                    <SpotName n={at + 1} area={answer.inside[at]} />
                  </Entry>
                </li>
              ))}
            </ul>
          )}
        </>
      );
    case 'things':
      return beside.length > 0 ? (
        <ul className="font-semibold wrap-anywhere">
          <ThingLines things={answer.things} beside={beside} />
        </ul>
      ) : (
        <span className="font-semibold wrap-anywhere">
          <Things things={answer.things} />
        </span>
      );
    case 'sequence':
      return (
        <ol className="list-inside list-decimal font-semibold wrap-anywhere">
          <ThingLines things={answer.things} beside={beside} />
        </ol>
      );
    case 'pairs':
      return (
        <ul className="wrap-anywhere">
          {answer.pairs.map(({ left, right }, at) => (
            <li key={at}>
              <Entry beside={beside[at]}>
                <Thing thing={left} />:{' '}
                <span className="font-semibold">
                  <Things things={right.length > 0 ? right : [null]} />
                </span>
              </Entry>
            </li>
          ))}
        </ul>
      );
  }
}

/** Whether an answer takes lines of its own: then nothing stands between two but a word. */
const isTall = (answer: Data): boolean =>
  answer.form === 'onPicture' ||
  answer.form === 'pairs' ||
  answer.form === 'sequence' ||
  (answer.form === 'things' && hasPicture(answer.things));

/** Several answers of which each is right. */
export function ShownAnswers({ answers }: { readonly answers: readonly Data[] }) {
  const { or } = useTold().results;
  return answers.map((answer, at) => (
    <Fragment key={at}>
      {at > 0 && (isTall(answer) ? <span className="block">{or}</span> : `, ${or} `)}
      <ShownAnswer answer={answer} />
    </Fragment>
  ));
}
