import { classWorker } from '@/workers/clients';
import type { ScoreColumn } from '@/core/formats/scoresFile';
import { download, downloadBytes, fileName } from '../widgets/download';

const TYPES = {
  csv: 'text/csv;charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;
export type AnswersForm = keyof typeof TYPES;

/** Some of the students, with what they are called together. */
export interface Those {
  readonly name: string;
  readonly studentIds: readonly string[];
}

/** Gives the teacher the scores of a quiz as a file, with the columns it had last; of everybody, or of some. */
export async function saveScores(
  quizId: string,
  title: string,
  columns?: readonly ScoreColumn[],
  only?: Those,
): Promise<void> {
  const text = await classWorker().scoresFile(quizId, columns, only?.studentIds);
  const whose = only ? `-${fileName(only.name)}` : '';
  download(`${fileName(title)}${whose}-scores.csv`, text, 'text/csv;charset=utf-8');
}

/** Gives the teacher every answer of a quiz as a file that reads back as an answer file. */
export async function saveAnswers(
  quizId: string,
  title: string,
  form: AnswersForm,
  only?: Those,
): Promise<void> {
  const bytes = await classWorker().answersFile(quizId, form, only?.studentIds);
  const whose = only ? `-${fileName(only.name)}` : '';
  downloadBytes(`${fileName(title)}${whose}-answers.${form}`, bytes, TYPES[form]);
}

/** Gives the teacher the figures of a quiz as a file, of everybody or of a class or group by its name. */
export async function saveFigures(
  quizId: string,
  title: string,
  form: AnswersForm,
  whose: string,
): Promise<void> {
  const bytes = await classWorker().figuresFile(quizId, form, whose);
  const of = whose === '' ? '' : `-${fileName(whose)}`;
  downloadBytes(`${fileName(title)}${of}-figures.${form}`, bytes, TYPES[form]);
}
