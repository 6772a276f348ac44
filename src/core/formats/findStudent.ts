import { typingErrors } from '../answers/text/matching/distance';
import { comparedText } from '../answers/text/comparedText';
import { DEFAULT_SETTINGS } from '../answers/text/settings';
import type { Student } from '../quiz/people/school';

/** How names and headings of files are compared: capitals, punctuation and spaces apart. */
export const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');

/** How numbers and email addresses are compared: capitals and outer spaces apart. */
export const comparedCode = (text: string): string => text.trim().toLowerCase();

/** What a row of a file says of its student; each may be empty. */
export interface Who {
  readonly name: string;
  readonly number: string;
  readonly email: string;
}

/**
 * Who a row is about: a student, with what does not quite fit; somebody who is not on the list, with the students it may
 * be, likeliest first; or why that cannot be said.
 */
export type FoundStudent =
  | { readonly student: Student; readonly odd: string | null }
  | { readonly student: null; readonly likely: readonly Student[] }
  | { readonly problem: string };

const LONGEST_CODE = 60;
const LONGEST_EMAIL = 254;
const LONGEST_NAME = 200;

function malformed({ name, number, email }: Who): string | null {
  if (name === '' && number === '' && email === '') return 'no name, number or email address';
  if (name.length > LONGEST_NAME) return 'the name is longer than 200 characters';
  if (number.length > LONGEST_CODE && !number.includes('@')) return 'the number is longer than 60 characters';
  return email.length > LONGEST_EMAIL ? 'the email address is longer than 254 characters' : null;
}

/** A name's words without accents, in the order of the alphabet: the same for “van der Berg, Lotte”. */
const loose = (name: string): string =>
  comparedText(name, { ...DEFAULT_SETTINGS, ignoreAccents: true }, 'en')
    .split(' ')
    .sort()
    .join(' ');

/** Up to this many typing errors two names may be one, by length. */
const errorsIn = (name: string): number => (name.length < 5 ? 0 : name.length < 9 ? 1 : 2);
const MOST_LIKELY = 5;

/** What is told of a row whose number or address is one student's and whose name is another. */
function byItsCode(
  student: Student,
  code: string,
  { name }: Who,
  namesakes: readonly Student[],
): FoundStudent {
  if (name === '' || loose(name) === loose(student.name)) return { student, odd: null };
  const says = `${code} belongs to ${student.name}, but the row says ${name}`;
  return namesakes.length > 0 ? { problem: says } : { student, odd: `${says}: taken as ${student.name}` };
}

/** Students by what they are known by: number, email address, name. */
export class StudentIndex {
  readonly #byNumber = new Map<string, Student>();
  readonly #byEmail = new Map<string, Student>();
  readonly #byName = new Map<string, Student[]>();
  readonly #loose: readonly { readonly name: string; readonly student: Student }[];

  constructor(readonly students: readonly Student[]) {
    for (const student of students) {
      if (student.number !== '') this.#byNumber.set(comparedCode(student.number), student);
      if (student.email !== '') this.#byEmail.set(comparedCode(student.email), student);
      const key = compared(student.name);
      const named = this.#byName.get(key);
      if (named) named.push(student);
      else this.#byName.set(key, [student]);
    }
    this.#loose = students.map((student) => ({ name: loose(student.name), student }));
  }

  /** Everyone who is called so, capitals and punctuation apart. */
  named(name: string): readonly Student[] {
    return name === '' ? [] : (this.#byName.get(compared(name)) ?? []);
  }

  /** The student whose number or address this is: an address may be in either column. */
  coded({ number, email }: Pick<Who, 'number' | 'email'>): Student | undefined {
    for (const code of [email, number].filter(Boolean).map(comparedCode)) {
      const student = this.#byEmail.get(code) ?? this.#byNumber.get(code);
      if (student) return student;
    }
    return undefined;
  }

  /** Students whose name is nearest to this: without accents or in another order the same, else a few letters apart. */
  likely(name: string): Student[] {
    if (name === '') return [];
    const wanted = loose(name);
    const letters = [...wanted];
    const near = this.#loose.flatMap(({ name: other, student }) => {
      if (other === wanted) return [{ student, errors: 0 }];
      const most = errorsIn(wanted);
      const errors = most === 0 ? null : typingErrors([...other], letters, most, new Map());
      return errors === null ? [] : [{ student, errors }];
    });
    const fewest = Math.min(...near.map(({ errors }) => errors));
    return near
      .filter(({ errors }) => errors === fewest)
      .slice(0, MOST_LIKELY)
      .map(({ student }) => student);
  }

  /** Who a row is about. */
  find(who: Who): FoundStudent {
    const wrong = malformed(who);
    if (wrong !== null) return { problem: wrong };
    const { name, number, email } = who;
    const named = this.named(name);
    const coded = this.coded(who);
    if (coded)
      return byItsCode(
        coded,
        email || number,
        who,
        named.filter((one) => one !== coded),
      );
    if (named.length > 1)
      return {
        problem: `${named.length} students are called ${name}: a number or an email address tells them apart`,
      };
    const [only] = named;
    if (!only) return { student: null, likely: this.likely(name) };
    if (number !== '' && only.number !== '' && !number.includes('@'))
      return {
        problem: `${name} has the number ${only.number} on the class list, and ${number} in the file`,
      };
    const address = email || (number.includes('@') ? number : '');
    return address !== '' && only.email !== ''
      ? { problem: `${name} has the address ${only.email} on the class list, and ${address} in the file` }
      : { student: only, odd: null };
  }
}
