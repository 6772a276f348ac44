import type { Student } from './attempt';
import { lineText } from '../content/shownText';

/** A student of whom nothing but the name is known. */
export const newStudent = (id: string, name: string): Student => ({
  id,
  name: lineText(name).slice(0, 200),
  number: '',
  email: '',
  groups: [],
  removedAt: null,
});
