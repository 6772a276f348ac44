import { Fragment } from 'react';
import type { ShownAnswer as Data, ShownThing } from '@/core/content/shownAnswer';
import { Words } from './Formula';
import { Picture } from './Picture';

function Thing({ thing }: { readonly thing: ShownThing | null }) {
  if (thing === null) return <span className="font-normal text-soft">left open</span>;
  return (
    <>
      {thing.picture && <Picture picture={thing.picture} small />}
      <Words text={thing.text} />
    </>
  );
}

const Things = ({ things }: { readonly things: readonly (ShownThing | null)[] }) =>
  things.map((thing, at) => (
    <Fragment key={at}>
      {at > 0 && ', '}
      <Thing thing={thing} />
    </Fragment>
  ));

/** An answer as people are shown it, of whatever kind: it says nothing of what is right. */
export function ShownAnswer({ answer }: { readonly answer: Data }) {
  switch (answer.form) {
    case 'text':
      return <span className="font-semibold break-words whitespace-pre-line">{answer.text}</span>;
    case 'things':
      return (
        <span className="font-semibold break-words">
          <Things things={answer.things} />
        </span>
      );
    case 'sequence':
      return (
        <ol className="list-inside list-decimal font-semibold break-words">
          {answer.things.map((thing, at) => (
            <li key={at}>
              <Thing thing={thing} />
            </li>
          ))}
        </ol>
      );
    case 'pairs':
      return (
        <ul className="break-words">
          {answer.pairs.map(({ left, right }, at) => (
            <li key={at}>
              <Thing thing={left} />:{' '}
              <span className="font-semibold">
                <Things things={right.length > 0 ? right : [null]} />
              </span>
            </li>
          ))}
        </ul>
      );
  }
}

/** Several answers of which each is right. */
export const ShownAnswers = ({ answers }: { readonly answers: readonly Data[] }) =>
  answers.map((answer, at) => (
    <Fragment key={at}>
      {at > 0 && ', or '}
      <ShownAnswer answer={answer} />
    </Fragment>
  ));
