import type { Cover } from '@/core/reveal/packets';
import { ProseView } from '@/ui/widgets/paper/ProseView';
import { count, dayAndTime, percent, points, pointsWord } from '@/ui/words/figures';
import { lateRuleWords } from '@/ui/words/lateWords';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { RichText } from '@/ui/widgets/paper/RichText';
import { countsWords } from '@/ui/words/attemptWords';
import { oftenWords, whenResultsCome } from '@/ui/words/resultWords';
import { useSitPress } from './useSitPress';

function dueWords({ due, grace, late, overdue }: Cover): string {
  const until = `Due ${dayAndTime(due ?? 0)}${grace > 0 ? `, with ${count(grace, 'minute')} more before it counts as late` : ''}`;
  return `${until}. ${overdue ? 'That has passed: what you hand in now is late. ' : ''}${lateRuleWords(late)}`;
}

/** What is expected, by shares of the points. */
function Expected({ cover }: { readonly cover: Cover }) {
  if (cover.expected.length === 0) return null;
  return (
    <WithFormulas formulas={cover.formulas}>
      <h2 className="mt-6 text-[15px]">What is expected</h2>
      <ul className="mt-1">
        {cover.expected.map(({ from, text }, at) => (
          <li key={at} className="flex gap-3 py-0.5">
            <span className="figures w-24 text-soft">from {percent(from)}</span>
            <div className="min-w-0 flex-1">
              <ProseView text={text} />
            </div>
          </li>
        ))}
      </ul>
    </WithFormulas>
  );
}

/** The first page: what it is, how long it is open, what happens to unfinished work, when results come. */
export function CoverPage({
  cover,
  onBegin,
}: {
  readonly cover: Cover;
  readonly onBegin: () => Promise<void>;
}) {
  const begin = useSitPress(onBegin);
  const facts = [
    `${count(cover.questions, 'question')}, ${pointsWord(cover.points)}${
      cover.scaledTo ? `; your score is given out of ${points(cover.scaledTo)}` : ''
    }.`,
    cover.until === null ? 'Open until your teacher closes it.' : `Open until ${dayAndTime(cover.until)}.`,
    ...(cover.timeLimit === null
      ? []
      : [
          `You have ${count(cover.timeLimit, 'minute')} from when you begin, and the clock runs on when the page is closed.`,
        ]),
    ...(cover.due === null ? [] : [dueWords(cover)]),
    ...(cover.attempts.most === 1 ? [] : [`${oftenWords(cover.attempts)}; ${countsWords(cover.attempts)}.`]),
    cover.comingBack
      ? 'Your answers are saved as you go: you can leave and come back on this device.'
      : 'Your answers are saved as you go. Stay on this page until you hand in: if you leave it for two minutes, it is locked until your teacher unlocks it.',
    ...(cover.goingBack
      ? []
      : ['You cannot go back: once you go on, the answers of a page stay as they are.']),
    !cover.goingBack
      ? cover.attempts.most === 1
        ? 'You can hand in only once.'
        : 'You hand in on the last page.'
      : cover.attempts.most === 1
        ? 'You can change them until you hand in. You can hand in only once.'
        : 'You can change them until you hand in.',
    cover.unfinished === 'taken'
      ? 'Anything not handed in by closing time will be collected as it is.'
      : 'Anything not handed in by closing time does not count.',
  ];
  return (
    <main className="mx-auto flex min-h-dvh max-w-[640px] flex-col bg-paper px-[18px] py-8">
      <p className="caption">{cover.student}’s paper</p>
      <h1 className="mt-1 text-[26px]">{cover.title}</h1>
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
      <h2 className="mt-6 text-[15px]">When results come</h2>
      <ul className="mt-1">
        {whenResultsCome(cover).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="mt-8">
        <button
          type="button"
          className="btn btn-primary h-12 px-8 text-[16px]"
          disabled={begin.busy || cover.questions === 0}
          onClick={begin.start}
        >
          Begin
        </button>
        {begin.failed && (
          <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
            The quiz could not be started: this device may have no room left. Nothing is lost. Free some space
            and press Begin again.
          </p>
        )}
        {cover.questions === 0 && <p className="mt-2 text-soft">This quiz has no questions yet.</p>}
      </div>
    </main>
  );
}
