import { plainProse, type Prose } from '@/core/content/prose';
import { paperFrom } from '@/core/quiz/paper';
import type { Placed } from '@/core/quiz/placement';
import type { QuizContent, RescueFile } from '@/core/quiz/quiz';
import { download, fileName } from '../widgets/download';
import type { QuizView } from './quizContext';
import { unsavedWork } from '../editing/saving';

/** The quiz as it stands in this tab, with everything that could not be stored laid over it. */
function rescueFile({ quiz, questions }: QuizView): RescueFile {
  const work = unsavedWork();
  const fields = [...work].filter(([name]) => name.startsWith('content:'));
  const content = Object.assign(
    { ...quiz.content },
    ...fields.map(([name, value]) => ({ [name.slice('content:'.length)]: value })),
  ) as QuizContent;
  const current = questions.map(
    (record) => (work.get(`question:${record.id}`) as Placed | undefined) ?? record,
  );
  const texts = [...work].flatMap(([name, value]) =>
    name.startsWith('content:') || name.startsWith('question:')
      ? []
      : [{ name, text: plainProse(value as Prose) }],
  );
  const { questions: written, placements } = paperFrom(content, current);
  return {
    format: 'yentrel-rescue',
    version: 14,
    content,
    questions: [...written],
    placements: [...placements],
    texts,
  };
}

/** Saves what is in memory to a file, for when the browser can keep nothing. */
export function downloadRescue(view: QuizView): void {
  const file = rescueFile(view);
  download(`${fileName(file.content.title)}.rescue.json`, JSON.stringify(file, null, 1), 'application/json');
}
