import { useContentField } from '@/ui/teacher/useContentField';

/** Whether students may go back to pages that they have left. */
export function GoingBackSentence() {
  const { value, edit } = useContentField('goingBack', 'Change whether students may go back');
  return (
    <li className="border-b border-hair py-3 text-[16.5px] leading-relaxed">
      Once they have gone on from a page, students{' '}
      <select
        className="sentence-part"
        aria-label="Once they have gone on from a page, students"
        value={value ? 'can' : 'cannot'}
        onChange={(event) => edit(event.target.value === 'can')}
      >
        <option value="can">can go back to it</option>
        <option value="cannot">cannot go back to it</option>
      </select>
      .
    </li>
  );
}
