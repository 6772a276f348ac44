import { clipsOf, picturesOf } from '../content/plainText';
import { lineText } from '../content/shownText';
import { kindOf, type Question } from '../kinds';
import { plainProse } from '../content/prose';
import type { Paper } from '../quiz/quiz';
import { sectionOf } from '../quiz/section';
import { contextOf } from '../scoring/context';

/** What stands beside a question and says in words what is right: students are sent it with the picture, or read it as a title. */

/** Words that say too little to tell anything: shorter ones are not looked for. */
const SHORTEST = 3;

const plain = (text: string): string =>
  ` ${lineText(text)
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `;

/** What is right, in words that a description could repeat. */
const rightWords = (question: Question, paper: Paper): string[] =>
  kindOf(question)
    .shownRight(question, contextOf(paper, question))
    .flatMap((answer) => {
      if (answer.form === 'text') return [answer.text];
      return answer.form === 'things' ? answer.things.map(({ text }) => text) : [];
    })
    .filter((text) => /\p{L}/u.test(text) && plain(text).trim().length >= SHORTEST);

/** What a right answer is told by: the description of a picture, or the title of a sound or film. */
export interface Telling {
  readonly by: 'picture' | 'title';
  readonly word: string;
}

/** The first words of a question's key that what it shows gives away; null where nothing does, or where its own text says them. */
export function tellingMedia(question: Question, paper: Paper): Telling | null {
  const section = sectionOf(paper.content).get(question.id);
  const own = 'picture' in question && question.picture ? [question.picture] : [];
  const pictures = [...own, ...picturesOf(question.text), ...(section ? picturesOf(section.text) : [])];
  const clips = [...clipsOf(question.text), ...(section ? [...section.clips, ...clipsOf(section.text)] : [])];
  const said = plain(plainProse(question.text));
  for (const word of rightWords(question, paper)) {
    const wanted = plain(word);
    if (said.includes(wanted)) continue;
    if (pictures.some(({ alt }) => plain(alt).includes(wanted))) return { by: 'picture', word };
    if (clips.some(({ title }) => plain(title).includes(wanted))) return { by: 'title', word };
  }
  return null;
}
