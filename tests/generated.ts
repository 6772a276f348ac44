import { FORM_VERSION, type QuizFile } from '@/core/formats/quizFile/schema';
import { writeQuizFile } from '@/core/formats/quizFile/quizFile';
import { canonical } from '@/core/figures/deepEqual';
import { jsonSchema, SCHEMA_NAMES } from '@/server/schemas';
import { CONTENT, PLACEMENTS, QUESTIONS } from './demoQuiz';
import { SCHOOL } from '../demo/school';
import { texIn, written } from '@/core/content/formulaText';
import { formulasOf } from '@/typeset/complete';
import { casesPage } from './workedCases';
import { notices } from '../scripts/words/notices';
import './unit/support/everywhere';

/** The demo quiz as a file for colleagues. */
export const DEMO_FILE: QuizFile = {
  format: 'yentrel-quiz',
  version: FORM_VERSION,
  quiz: {
    id: 'demo-rivers',
    content: { ...CONTENT, zone: 'Europe/Berlin' },
    questions: [...QUESTIONS],
    placements: [...PLACEMENTS],
    createdAt: Date.parse('2026-01-05T08:00:00Z'),
    changedAt: Date.parse('2026-01-05T08:00:00Z'),
  },
  share: { author: 'M. Weir', note: 'Rivers, second week.', at: Date.parse('2026-01-05T08:00:00Z') },
  class: null,
};

/** What another program sends to be marked: the demo quiz and three attempts. */
const DEMO_REQUEST = {
  quiz: DEMO_FILE,
  attempts: [
    { student: 'Ada Marsh', answers: { '1': 'upper course', '2': 'oxbow lake', '3': 'levee' } },
    { student: 'Ben Ford', attempt: 1, answers: { '1': 'lower course', '2': 'ox bow lake' } },
    { student: 'Ben Ford', attempt: 2, answers: { '1': 'upper course', '2': 'oxbow lake' } },
  ],
};

const text = (value: string): Uint8Array => new TextEncoder().encode(value);

/** Every file of the project that is made from its code, by its path: `npm run docs` writes them, a test keeps them true. */
export const generated = async (): Promise<ReadonlyMap<string, Uint8Array>> =>
  new Map([
    ['demo/formulas.json', text(`${JSON.stringify(await formulasOf(texIn(SCHOOL).map(written)), null, 1)}\n`)],
    ['docs/marking-cases.md', text(casesPage())],
    ['NOTICES.md', text(notices())],
    ...SCHEMA_NAMES.map((name) => [`docs/schema/${name}.json`, text(`${JSON.stringify(jsonSchema(name), null, 1)}\n`)] as const),
    ['demo/import/rivers.yentrel', writeQuizFile(DEMO_FILE, new Map())],
    ['demo/import/mark.json', text(`${JSON.stringify(JSON.parse(canonical(DEMO_REQUEST)), null, 1)}\n`)],
  ]); // prettier-ignore
