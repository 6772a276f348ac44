import { HandedIn } from '@/core/formats/handedIn';
import { BackedQuiz, BackupFile, QuizFile } from '@/core/formats/quizFile/schema';
import { z } from '@/core/zod';

const SCHEMAS = {
  'quiz-file': QuizFile,
  attempt: HandedIn,
  backup: BackupFile,
  'backup-quiz': BackedQuiz,
} as const;
export type SchemaName = keyof typeof SCHEMAS;
export const SCHEMA_NAMES = Object.keys(SCHEMAS) as SchemaName[];

/** The JSON Schema (2020-12) of a file's form, made from what the application itself checks by. */
export function jsonSchema(name: SchemaName): object {
  return {
    title: `Yentrel: ${name}`,
    ...z.toJSONSchema(SCHEMAS[name], { target: 'draft-2020-12', io: 'input', reused: 'ref' }),
  };
}
