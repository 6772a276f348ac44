import { useEffect, useRef, useState } from 'react';
import { answersFile, answersText, type AnswersData } from '@/core/away/answersText';
import type { Cover } from '@/core/reveal/packets';
import { ticketShown } from '@/core/quiz/people/ticket';
import { copyText } from '@/ui/widgets/copyText';
import { download, fileName } from '@/ui/widgets/download';
import { useText, useTold } from '@/ui/told/useTold';
import { useSitPress } from '../useSitPress';

/** The name of a file of answers. */
export const answersName = (title: string, ticket: string): string =>
  `${fileName(title)}-${ticketShown(ticket)}.json`;

/** Saves answers as a file. Gives its name. */
export function saveAnswersFile(data: AnswersData): string {
  const name = answersName(data.title, data.ticket);
  download(name, answersFile(data), 'application/json');
  return name;
}

interface Props {
  readonly cover: Cover;
  readonly ticket: string;
  /** The name of the file that has been saved; null where none was. */
  readonly file: string | null;
  readonly isOver: boolean;
  readonly isKept: boolean;
  /** What is saved out now. */
  readonly save: () => AnswersData | null;
  readonly onSaved: (file: string) => void;
  /** null: nobody can go back any more. */
  readonly onBack: (() => void) | null;
}

/** Where the work ends: the answers as a file, or as text for a message, as often as one likes. */
export function SavePage({ cover, ticket, file, isOver, isKept, save, onSaved, onBack }: Props) {
  const { file: words, ticket: tickets } = useTold();
  const text = useText();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const [copied, setCopied] = useState<'no' | 'yes' | 'byHand'>('no');
  const [packed, setPacked] = useState('');
  const saved = useSitPress(() => {
    const data = save();
    if (!data) return Promise.reject(new Error('There is nothing to save'));
    onSaved(saveAnswersFile(data));
    return Promise.resolve();
  });
  const copy = useSitPress(async () => {
    const data = save();
    if (!data) throw new Error('There is nothing to copy');
    const made = answersText(data);
    setPacked(made);
    const done = await copyText(made).then(
      () => true,
      () => false,
    );
    setCopied(done ? 'yes' : 'byHand');
  });
  const said = file !== null ? words.saved(file) : isOver ? words.over : words.notSaved;
  return (
    <main className="mx-auto min-h-dvh max-w-[640px] bg-paper px-[18px] py-8">
      <p {...text} className="caption wrap-anywhere">
        {cover.title}
      </p>
      <h1 ref={heading} tabIndex={-1} className="mt-1 text-[24px] outline-none">
        {words.yours}
      </h1>
      <p className="caption figures">{tickets.mine(ticketShown(ticket))}</p>
      <p role="status" className="mt-4 text-[16.5px] wrap-anywhere">
        {said}
      </p>
      {!isKept && <p className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">{words.notKept}</p>}
      <div className="mt-5 flex flex-wrap gap-3">
        <button
          type="button"
          className={`btn h-12 px-6 text-[16px] ${file === null ? 'btn-primary' : 'btn-outline'}`}
          aria-disabled={saved.busy}
          onClick={saved.start}
        >
          {file === null ? words.save : words.again}
        </button>
        <button
          type="button"
          className="btn btn-outline h-12 px-6 text-[16px]"
          aria-disabled={copy.busy}
          onClick={copy.start}
        >
          {words.copy}
        </button>
      </div>
      {(saved.failed || copy.failed) && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {words.failed}
        </p>
      )}
      <p role="status" className="mt-3">
        {copied === 'yes' ? words.copied : copied === 'byHand' ? words.select : ''}
      </p>
      {copied === 'byHand' && (
        <textarea
          readOnly
          aria-label={words.text}
          className="mt-2 h-32 w-full border border-[var(--field)] bg-paper p-2 font-mono text-[12px] break-all"
          value={packed}
          onFocus={(event) => event.target.select()}
        />
      )}
      {onBack && (
        <p className="mt-6 border-t border-line pt-4">
          {words.asOften}
          <button type="button" className="link-text mt-1 block min-h-11 cursor-pointer" onClick={onBack}>
            {words.back}
          </button>
        </p>
      )}
      <p className="mt-4">{words.results}</p>
    </main>
  );
}
