import { useContentField } from '@/ui/teacher/useContentField';
import { RuleSentence } from './RuleSentence';

const canOr = (can: boolean) => (can ? 'can' : 'cannot');

/** Whether students may go back to pages that they have left. */
export function GoingBackSentence() {
  const { value, edit } = useContentField('goingBack', 'Change whether students may go back');
  return (
    <RuleSentence
      begin="Going back to a page"
      value={canOr(value)}
      options={{ can: 'is allowed', cannot: 'is not allowed' }}
      onChoose={(choice) => edit(choice === 'can')}
    />
  );
}

/** Whether students may leave the quiz and come back to it. */
export function ComingBackSentence() {
  const { value, edit } = useContentField('comingBack', 'Change whether students may come back');
  return (
    <RuleSentence
      begin="Students who leave the page for two minutes"
      value={canOr(value)}
      options={{ can: 'can come back', cannot: 'are locked out until I unlock it' }}
      onChoose={(choice) => edit(choice === 'can')}
    />
  );
}

/** What is recorded for those who hand in nothing. */
export function MissingSentence() {
  const { value, edit } = useContentField('missing', 'Change what missing work gets');
  return (
    <RuleSentence
      begin="Whoever hands in nothing"
      value={value}
      options={{ empty: 'has no score', zero: 'gets 0 points' }}
      end={value === 'zero' ? ' once they cannot hand in any more' : ''}
      onChoose={edit}
    />
  );
}
