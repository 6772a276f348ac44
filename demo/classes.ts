import { newPerson, type Member, type Person, type SchoolClass } from '@/core/quiz/people/school';

/** The two classes of the demo school. */

export const CLASS_8C: SchoolClass = { id: 'demo-class-8c', name: '8C', position: 0, archivedAt: null };
export const CLASS_7B: SchoolClass = { id: 'demo-class-7b', name: '7B', position: 1, archivedAt: null };
export const CLASSES = [CLASS_8C, CLASS_7B] as const;

const NAMES_8C = [
  'Ada Marsh', 'Bela Fenn', 'Cato Weir', 'Dina Ford', 'Emil Brook', 'Fleur Banks', 'Gero Lock', 'Hana Reed',
  'Ivo Sands', 'Jule Beck', 'Karl Mead', 'Lena Rill', 'Milo Shaw', 'Nora Pool', 'Otis Gill', 'Pia Strand',
  'Quin Leat', 'Rosa Burn', 'Sami Holm', 'Tess Bourne', 'Udo Carr', 'Vera Delph', 'Wim Eddy', 'Xenia Flood',
  'Yann Isle', 'Zoe Mere',
]; // prettier-ignore

const NAMES_7B = [
  'Amal Syke', 'Bruno Ghyll', 'Carla Strait', 'Denis Quay', 'Elif Haven', 'Finn Cove', 'Greta Narrows', 'Hugo Sluice',
  'Ines Bight', 'Jaro Firth', 'Kaya Lagan', 'Leon Mire', 'Mina Spring', 'Nils Bank', 'Olive Tarn', 'Piet Moss',
  'Ruth Dale', 'Silas Heron', 'Tilda Wade', 'Ugo Pike', 'Viola Rush', 'Yusuf Shore',
]; // prettier-ignore

const peopleOf = (names: readonly string[], prefix: string, first: number): Person[] =>
  names.map((name, at) => ({ ...newPerson(`${prefix}${at + 1}`, name), number: String(first + at) }));

const OF_8C = peopleOf(NAMES_8C, 'demo-', 801);
const OF_7B = peopleOf(NAMES_7B, 'demo-7b-', 701);
export const STUDENTS: readonly Person[] = [...OF_8C, ...OF_7B];

const membersOf = (one: SchoolClass, people: readonly Person[], groups: readonly string[]): Member[] =>
  people.map(({ id }, at) => ({
    classId: one.id,
    studentId: id,
    groups: [groups[at % groups.length] as string],
    removedAt: null,
  }));

export const MEMBERS: readonly Member[] = [
  ...membersOf(CLASS_8C, OF_8C, ['blue', 'green']),
  ...membersOf(CLASS_7B, OF_7B, ['field group 1', 'field group 2', 'field group 3']),
];
