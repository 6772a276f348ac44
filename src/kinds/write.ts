import type { KindName, KindOnScreen, Question } from '@/core/kinds';
import type { WriteFaces } from './faces';
import { phraseFaces } from './phrase/Write';
import { pickOneFaces } from './pickOne/Write';

const FACES: Readonly<Record<KindOnScreen, unknown>> = { pickOne: pickOneFaces, phrase: phraseFaces };

/** How a question of this kind is written: the one place where the list is opened. */
export const writeFaces = (kind: KindName): WriteFaces<Question> =>
  FACES[kind as KindOnScreen] as WriteFaces<Question>;
