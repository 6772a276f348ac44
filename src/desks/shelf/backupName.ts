/** The name of a backup’s file: one a day of this computer’s calendar. */
export function backupName(at: number): string {
  const date = new Date(at);
  const two = (value: number) => String(value).padStart(2, '0');
  return `yentrel-backup-${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}.yentrel`;
}
