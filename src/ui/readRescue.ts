import { ON_SCREEN } from '@/core/kinds';
import { RescueFile } from '@/core/quiz/quiz';
import { upgradeRescue } from '@/core/quiz/upgrade';
import { ownZone } from '@/store/clock';

type Read = { readonly ok: true; readonly file: RescueFile } | { readonly ok: false; readonly error: string };

/** Reads a rescue file; what is wrong is named with its place. */
export function readRescue(text: string): Read {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, error: 'This is no rescue file: it cannot be read as JSON.' };
  }
  const read = RescueFile.safeParse(upgradeRescue(data, ownZone()));
  if (read.success) {
    const shown: readonly string[] = ON_SCREEN;
    const at = read.data.questions.findIndex(({ kind }) => !shown.includes(kind));
    if (at < 0) return { ok: true, file: read.data };
    return {
      ok: false,
      error: `This rescue file cannot be read here: questions › ${at}: a kind of question that has no screen yet`,
    };
  }
  const issue = read.error.issues[0];
  return {
    ok: false,
    error: `This rescue file cannot be read: ${issue?.path.join(' › ') || 'file'}: ${issue?.message ?? ''}`,
  };
}
