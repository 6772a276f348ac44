import { useContentField } from '@/ui/teacher/useContentField';

const ZONES = Intl.supportedValuesOf('timeZone');

/** The time zone in which the quiz counts its days. */
export function ZoneField() {
  const { value, edit } = useContentField('zone', 'Change the time zone');
  return (
    <p className="mt-1">
      Days are counted by the clock of{' '}
      <select
        className="sentence-part"
        aria-label="Time zone"
        value={value}
        onChange={(event) => edit(event.target.value)}
      >
        {!ZONES.includes(value) && <option value={value}>{value}</option>}
        {ZONES.map((zone) => (
          <option key={zone} value={zone}>
            {zone.replaceAll('_', ' ')}
          </option>
        ))}
      </select>
      .
    </p>
  );
}
