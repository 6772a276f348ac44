import type { SitProps } from '../faces';
import { TypedSit } from '../shared/sit/TypedSit';

/** A number typed by the student, with its unit where one is asked for. */
export default function NumberSit({ answer, labelledBy, onAnswer }: SitProps) {
  return (
    <TypedSit
      labelledBy={labelledBy}
      language=""
      most={1000}
      value={answer?.kind === 'number' ? answer.text : ''}
      onChange={(text) => onAnswer(text === '' ? null : { kind: 'number', text })}
    />
  );
}
