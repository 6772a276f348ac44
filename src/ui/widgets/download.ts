/** Gives the teacher a file to keep, without any server. */
export const download = (name: string, content: string, type: string): void =>
  save(name, new Blob([content], { type }));

/** The same for bytes, such as a quiz file or a spreadsheet. */
export const downloadBytes = (name: string, bytes: Uint8Array, type = 'application/octet-stream'): void =>
  save(name, new Blob([new Uint8Array(bytes)], { type }));

function save(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A title as a file name: letters, digits and hyphens. */
export const fileName = (title: string): string =>
  title
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'quiz';
