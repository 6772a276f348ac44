import type { SitProps } from '../sit';

/** A short answer typed by the student, without the browser's help. */
export default function PhraseSit({ answer, labelledBy, onAnswer }: SitProps) {
  return (
    <input
      className="w-full rounded border border-ink bg-paper px-3 py-3 text-[17px]"
      aria-labelledby={labelledBy}
      autoComplete="off"
      autoCorrect="off"
      autoCapitalize="off"
      spellCheck={false}
      enterKeyHint="next"
      maxLength={10_000}
      value={answer?.kind === 'phrase' ? answer.text : ''}
      onChange={(event) =>
        onAnswer(event.target.value === '' ? null : { kind: 'phrase', text: event.target.value })
      }
    />
  );
}
