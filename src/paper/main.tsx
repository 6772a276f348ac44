import { createRoot } from 'react-dom/client';
import type { PaperData } from '@/core/away/paperData';
import { sittingsOf } from '@/desks/sit/away/keptSittings';
import { openPaperDesk } from '@/desks/sit/away/paperDesk';
import { PaperFile } from '@/desks/sit/away/PaperFile';
import { now } from '@/device/clock';
import { newId } from '@/device/ids';
import './paper.css';

/** A paper's file begins here: what it shows stands in it as data. */

/** Some browsers refuse a file the very mention of their storage. */
function storage(): Storage | null {
  try {
    return localStorage;
  } catch {
    return null;
  }
}

const text = document.getElementById('paper')?.textContent || 'null';
const data = JSON.parse(text) as PaperData | null;
const page = document.getElementById('page');
if (data && page) {
  const dark = matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset['theme'] = dark ? 'slate' : 'chalk';
  const sittings = sittingsOf(`${data.quizId}:${data.revision}`, storage());
  const desk = openPaperDesk({ data, sittings, now, newId });
  createRoot(page).render(<PaperFile data={data} desk={desk} />);
}
