import { lineText } from '../../content/shownText';
import { newPerson, type Person, type Student } from './school';

/** A person of whom nothing but the name is known. */
export const newStudent = (id: string, name: string): Student => ({
  ...newPerson(id, lineText(name).slice(0, 200)),
  groups: [],
  removedAt: null,
});

/** The details of a student that belong to the person, in whichever class. */
export const personOf = ({ id, name, number, email, moreTime }: Person): Person => ({
  id,
  name,
  number,
  email,
  moreTime,
});
