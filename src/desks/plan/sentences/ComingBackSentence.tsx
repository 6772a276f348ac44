import { useContentField } from '@/ui/teacher/useContentField';

/** Whether students may leave the page and come back to it. */
export function ComingBackSentence() {
  const { value, edit } = useContentField('comingBack', 'Change whether students may come back');
  return (
    <li className="border-b border-hair py-3 text-[16.5px] leading-relaxed">
      Students who leave the page for two minutes{' '}
      <select
        className="sentence-part"
        aria-label="Students who leave the page for two minutes"
        value={value ? 'can' : 'cannot'}
        onChange={(event) => edit(event.target.value === 'can')}
      >
        <option value="can">can come back to it</option>
        <option value="cannot">find it locked until I let them go on</option>
      </select>
      .
    </li>
  );
}
