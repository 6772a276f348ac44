import type { WrittenQuestion } from '@/core/kinds/written/schema';
import type { Faces } from '../faces';
import { ChoicePart } from '../shared/parts/ChoicePart';
import { plural } from '@/core/figures/plural';
import { ruleOf, whereOwn } from '../shared/ruled';

const ROOM: Readonly<Record<WrittenQuestion['room'], string>> = {
  line: 'two lines',
  paragraph: 'a paragraph',
  page: 'a page',
};

/** How much is to be written. */
export const Rules: Faces<WrittenQuestion>['Rules'] = ({ question, onChange }) => (
  <>
    {'There is room for '}
    <ChoicePart
      label="Room for the answer"
      value={question.room}
      words={ROOM}
      onChange={(room) => onChange({ ...question, room })}
    />
    {', and at most '}
    <input
      type="number"
      className="sentence-part figures !w-16 text-center"
      aria-label="Most words"
      placeholder="any"
      min={1}
      max={10_000}
      value={question.mostWords ?? ''}
      onChange={({ target }) => {
        const typed = target.valueAsNumber;
        if (target.value === '') onChange({ ...question, mostWords: null });
        else if (Number.isInteger(typed) && typed >= 1 && typed <= 10_000)
          onChange({ ...question, mostWords: typed });
      }}
    />
    {question.mostWords === null ? ' number of words. ' : ' words. '}
  </>
);

export const ruled: Faces<WrittenQuestion>['ruled'] = (question) => [
  ruleOf(question, 'room', `room for ${ROOM[question.room]}`),
  ...whereOwn([
    ruleOf(question, 'mostWords', `at most ${question.mostWords} ${plural(question.mostWords ?? 0, 'word')}`),
  ]),
];
