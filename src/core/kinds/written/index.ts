import { nonsense } from '../../answers/text/mistakes';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { ONE } from '../../figures/fraction';
import { defineKind, asRead, notKeyed } from '../kind';
import { explain, mark } from './mark';
import { WrittenAnswer, WrittenFace, WrittenQuestion } from './schema';
import { lines, describe, problems } from './words';

export const written = defineKind<WrittenQuestion, WrittenAnswer, WrittenFace>({
  name: 'written',
  title: 'Written answer',
  about: {
    what: 'A longer answer in the student’s own words.',
    marks: 'byHand',
    part: 'any part you give, by points or by criteria.',
  },
  question: WrittenQuestion,
  answer: WrittenAnswer,
  face: WrittenFace,
  create: () => ({ kind: 'written', rubric: null, ideas: [], mostWords: null, room: 'paragraph' }),
  next: ({ rubric, mostWords, room }) => ({ kind: 'written', rubric, ideas: [], mostWords, room }),
  faceOf: ({ mostWords, room }) => ({ kind: 'written', mostWords, room }),
  handMarked: ({ ideas, rubric }) => ({ ideas, rubric }),
  hasKey: () => true,
  problems,
  bestCredit: () => ONE,
  describe,
  mark,
  explain,
  answerKey: ({ text }) => text,
  readAnswer: (_, text) =>
    asRead(isBlankText(text, DEFAULT_SETTINGS) ? null : { kind: 'written', text: text.slice(0, 100_000) }),
  accept: () => notKeyed('A written answer is marked by hand'),
  makeUp: (question, random, wanted) => {
    if (random() < 0.08) return null;
    const ideas = wanted === 'right' ? question.ideas.join(', ') : '';
    return { kind: 'written', text: `In my own words: ${ideas || nonsense(random)}.` };
  },
  lines,
  places: { rubric: 'criterion', levels: 'level', ideas: 'idea' },
});
