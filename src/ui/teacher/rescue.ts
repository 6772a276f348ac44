import type { Question } from '@/core/kinds';
import { inOrder } from '@/core/quiz/order';
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
    (record) => (work.get(`question:${record.id}`) as Question | undefined) ?? record.question,
  );
  const texts = [...work].flatMap(([name, value]) =>
    typeof value === 'string' && !name.startsWith('content:') ? [{ name, text: value }] : [],
  );
  return { format: 'yentrel-rescue', version: 3, content, questions: inOrder(content.order, current), texts };
}

/** Saves what is in memory to a file, for when the browser can keep nothing. */
export function downloadRescue(view: QuizView): void {
  const file = rescueFile(view);
  download(`${fileName(file.content.title)}.rescue.json`, JSON.stringify(file, null, 1), 'application/json');
}
