import type { Cover } from '@/core/reveal/packets';
import { ProseView } from '@/ui/widgets/paper/ProseView';
import type { ReactNode } from 'react';
import type { Told } from '@/ui/told/en';
import { whenResultsCome } from '@/ui/told/resultTimes';
import { useText, useTold } from '@/ui/told/useTold';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { RichText } from '@/ui/widgets/paper/RichText';
import { useSitPress } from './useSitPress';

const dueWords = (words: Told['cover'], { grace, overdue, late }: Cover, due: number): string =>
  [words.due(due, grace), ...(overdue ? [words.overdue] : []), words.late(late)].join(' ');

/** What is expected, by shares of the points. */
function Expected({ cover }: { readonly cover: Cover }) {
  const words = useTold().cover;
  if (cover.expected.length === 0) return null;
  return (
    <WithFormulas formulas={cover.formulas}>
      <h2 className="mt-6 text-[15px]">{words.expected}</h2>
      <ul className="mt-1">
        {cover.expected.map(({ from, text }, at) => (
          <li key={at} className="flex gap-3 py-0.5">
            <span className="figures w-24 text-soft">{words.from(from)}</span>
            <div className="min-w-0 flex-1">
              <ProseView text={text} />
            </div>
          </li>
        ))}
      </ul>
    </WithFormulas>
  );
}

/** What a first page says of itself. */
export interface CoverWords {
  readonly whose: string;
  readonly facts: readonly string[];
  /** When results come, or from whom. */
  readonly results: readonly string[];
}

interface Props {
  readonly cover: Cover;
  readonly onBegin: () => Promise<void>;
  /** What is said where the paper is not handed in to whoever serves it. */
  readonly instead?: CoverWords & { readonly below?: ReactNode };
}

/** What holds of a paper however it is sat: how long it is, until when and for how long it is open. */
export function plainFacts({ cover: words }: Told, cover: Cover): string[] {
  return [
    words.size(cover.questions, cover.points, cover.scaledTo),
    cover.until === null ? words.untilClosed : words.until(cover.until),
    ...(cover.timeLimit === null ? [] : [words.limit(cover.timeLimit)]),
    ...(cover.due === null ? [] : [dueWords(words, cover, cover.due)]),
  ];
}

function coverWords(told: Told, cover: Cover): CoverWords {
  const { cover: words } = told;
  const facts = [
    ...plainFacts(told, cover),
    ...(cover.attempts.most === 1 ? [] : [words.often(cover.attempts.most, cover.attempts.counts)]),
    cover.comingBack ? words.comingBack : words.staying,
    ...(cover.goingBack ? [] : [words.noGoingBack]),
    !cover.goingBack
      ? cover.attempts.most === 1
        ? words.handInOnce
        : words.handInLast
      : cover.attempts.most === 1
        ? words.changeOnce
        : words.change,
    cover.unfinished === 'taken' ? words.taken : words.notCounted,
  ];
  return { whose: words.paperOf(cover.student), facts, results: whenResultsCome(told, cover) };
}

/** The first page: what it is, how long it is open, what happens to unfinished work, when results come. */
export function CoverPage({ cover, onBegin, instead }: Props) {
  const begin = useSitPress(onBegin);
  const told = useTold();
  const text = useText();
  const { cover: words } = told;
  const { whose, facts, results } = instead ?? coverWords(told, cover);
  return (
    <main className="mx-auto flex min-h-dvh max-w-[640px] flex-col bg-paper px-[18px] py-8">
      <p className="caption">{whose}</p>
      <h1 {...text} className="mt-1 text-[26px] wrap-anywhere">
        {cover.title}
      </h1>
      <WithFormulas formulas={cover.formulas}>
        <RichText text={cover.instructions} className="mt-3" />
      </WithFormulas>
      <ul className="mt-6 border-t border-line">
        {facts.map((fact) => (
          <li key={fact} className="border-b border-hair py-2">
            {fact}
          </li>
        ))}
      </ul>
      <Expected cover={cover} />
      <h2 className="mt-6 text-[15px]">{words.whenResults}</h2>
      <ul className="mt-1">
        {results.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="mt-8">
        <button
          type="button"
          className="btn btn-primary h-12 px-8 text-[16px]"
          disabled={cover.questions === 0}
          aria-disabled={begin.busy}
          onClick={begin.start}
        >
          {words.begin}
        </button>
        {begin.failed && (
          <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
            {words.beginFailed}
          </p>
        )}
        {cover.questions === 0 && <p className="mt-2 text-soft">{words.noQuestions}</p>}
        {instead?.below}
      </div>
    </main>
  );
}
