import type { QuizContent } from '@/core/quiz/quiz';
import { useContentField } from '@/ui/teacher/useContentField';

/** What is recorded for those who hand in nothing. */
export function MissingSentence() {
  const { value, edit } = useContentField('missing', 'Change what missing work gets');
  return (
    <li className="border-b border-hair py-3 text-[16.5px] leading-relaxed">
      Whoever hands in nothing{' '}
      <select
        className="sentence-part"
        aria-label="Whoever hands in nothing"
        value={value}
        onChange={(event) => edit(event.target.value as QuizContent['missing'])}
      >
        <option value="empty">has no score</option>
        <option value="zero">gets 0 points</option>
      </select>
      {value === 'zero' && ' once they cannot hand in any more'}.
    </li>
  );
}
