import type { SitProps } from '../faces';
import { TypedSit } from '../shared/sit/TypedSit';

/** A short answer typed by the student. */
export default function PhraseSit({ answer, labelledBy, language, onAnswer }: SitProps) {
  return (
    <TypedSit
      labelledBy={labelledBy}
      language={language}
      most={10_000}
      value={answer?.kind === 'phrase' ? answer.text : ''}
      onChange={(text) => onAnswer(text === '' ? null : { kind: 'phrase', text })}
    />
  );
}
