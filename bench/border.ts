/**
 * `npm run bench:border`: requests that were made to hold the server up, each by itself: memory, time, and how long others wait
 * meanwhile. Needs a build (`npm run build`).
 */
import { readFileSync } from 'node:fs';
import { strToU8, zipSync } from 'fflate';
import { others, serveMeasured, type Measured } from './served';

/** What each may take: megabytes above the server at rest, milliseconds, and the slowest answer to others. */
const MOST = { memory: 512, ms: 10_000, others: 1000 };

const demo = JSON.parse(readFileSync('demo/import/mark.json', 'utf8')) as {
  quiz: { quiz: { questions: object[] } };
};
const rivers = new Uint8Array(readFileSync('demo/import/rivers.yentrel'));

const far = (cell: string, row: number) => `<row r="${row}"><c r="${cell}"><v>1</v></c></row>`;
const sheet = (rows: string): Uint8Array =>
  zipSync({
    'xl/workbook.xml': strToU8(
      '<workbook><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>',
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      '<Relationships><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
    ),
    'xl/worksheets/sheet1.xml': strToU8(`<worksheet><sheetData>${rows}</sheetData></worksheet>`),
  });

const form = (quiz: Uint8Array, answers?: Uint8Array): FormData => {
  const made = new FormData();
  made.set('quiz', new Blob([new Uint8Array(quiz)]), 'q.yentrel');
  if (answers) made.set('answers', new Blob([new Uint8Array(answers)]), 'a.xlsx');
  return made;
};

/** The demo's quiz with so many patterns in its second question, and one long answer to it. */
function patterns(source: (at: number) => string, many: number, attempts: number): string {
  const quiz = structuredClone(demo.quiz);
  const second = quiz.quiz.questions[1] as { variants: { forms: string[]; match: string }[] };
  const [like] = second.variants;
  second.variants = Array.from(
    { length: many },
    (_, at) => ({ ...like, id: `p-${at}`, forms: [source(at)], match: 'pattern' }) as never,
  );
  return JSON.stringify({
    quiz,
    attempts: Array.from({ length: attempts }, (_, at) => ({
      student: `S${at}`,
      answers: { '2': `${'a'.repeat(attempts > 1 ? 30 : 3000)}${at}` },
    })),
  });
}

const json = (body: string): RequestInit => ({
  method: 'POST',
  body,
  headers: { 'content-type': 'application/json' },
});
const REQUESTS: Readonly<Record<string, () => RequestInit>> = {
  'a cell in the last corner, 1.5 kB': () => ({
    method: 'POST',
    body: form(rivers, sheet(far('A1', 1) + far('XFD1048576', 1_048_576))),
  }),
  'a sheet 900 000 rows high': () => ({
    method: 'POST',
    body: form(rivers, sheet(far('A1', 1) + far('A900000', 900_000))),
  }),
  '99 MB of JSON in 96 kB': () => ({
    method: 'POST',
    body: form(
      zipSync(
        {
          'quiz.json': strToU8(
            `{"format":"yentrel-quiz","version":11,"quiz":[${'[],'.repeat(32_900_000)}[]]}`,
          ),
        },
        { level: 9 },
      ),
    ),
  }),
  '100 patterns that multiply, 3 000 letters': () =>
    json(patterns((at) => `((((a?){10}){10}){10})b${at}`, 100, 1)),
  '100 plain patterns, 1 000 answers': () =>
    json(patterns((at) => `a{1,20}(levee|delta|gorge)?${at}x`, 100, 1000)),
  '200 000 students without an answer': () =>
    json(
      JSON.stringify({
        quiz: demo.quiz,
        attempts: Array.from({ length: 199_999 }, (_, at) => ({ student: `S${at}`, answers: {} })),
      }),
    ),
};

let beyond = 0;
const rows: Record<string, object> = {};
for (const [name, make] of Object.entries(REQUESTS)) {
  const server: Measured = await serveMeasured();
  await (await fetch(`${server.address}/api/mark`, json(JSON.stringify(demo)))).text();
  const idle = server.memory().now;
  const request = make();
  const watched = others(server.address);
  const began = performance.now();
  const response = await fetch(`${server.address}/api/mark`, request);
  const text = await response.text();
  const ms = performance.now() - began;
  const slowest = await watched();
  const memory = server.memory().peak - idle;
  server.stop();
  const isHeavy = name.includes('200 000');
  if (!isHeavy && (ms > MOST.ms || memory > MOST.memory || slowest > MOST.others)) beyond++;
  rows[name] = {
    status: response.status,
    said: response.ok
      ? `${Math.round(text.length / 1000)} kB`
      : (JSON.parse(text) as { detail: string }).detail.slice(0, 60),
    ms: Math.round(ms),
    'MB more': Math.round(memory),
    'slowest other, ms': Math.round(slowest),
  };
}
console.table(rows);
console.log(
  beyond === 0 ? 'Everything within 512 MB, 10 s, and 1 s for others.' : `${beyond} beyond their bounds.`,
);
