import { isSilent } from '../../content/silence';
import { valueAt } from '../../figures/valueAt';
import { equal } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import { acceptNumber } from '../shared/number/acceptNumber';
import { acceptText } from '../shared/textKey/accept';
import { mark } from './mark';
import type { Gap, GapsAnswer, GapsQuestion } from './schema';

/** The gap with what was given keyed. */
function acceptIn(
  gap: Gap,
  given: string,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<Gap> {
  switch (gap.type) {
    case 'text':
      return acceptText(gap, given, as, newId, context);
    case 'number':
      return acceptNumber(gap, given, as, newId, context);
    case 'list': {
      if (!gap.options.some(({ id }) => id === given)) return notKeyed('It is not on the list of this gap');
      return keyed({
        ...gap,
        options: gap.options.map((option) =>
          option.id === given ? { ...option, ...said(as, option) } : option,
        ),
      });
    }
    case 'bank': {
      const known = gap.words.find(({ word }) => word === given);
      const others = gap.words.filter(({ word }) => word !== given);
      const next = { word: given, ...said(as, known) };
      return keyed({
        ...gap,
        words: known ? gap.words.map((one) => (one === known ? next : one)) : [...others, next],
      });
    }
    case 'pool':
      return notKeyed('An idea of the pool is added to the key in Write');
  }
}

/** Its credit, and what is said to students where something is said: else what was said stays. */
const said = (as: Accepted, known: { readonly feedback: Accepted['feedback'] } | undefined) => ({
  credit: as.credit,
  feedback: known && isSilent(as.feedback) ? known.feedback : as.feedback,
});

/** What was given in a gap is keyed there; where something else in its key would still decide, it is not. */
export function acceptPart(
  question: GapsQuestion,
  { part, given }: GivenPart,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<GapsQuestion> {
  const gap = question.gaps.find(({ id }) => id === part);
  if (!gap) return notKeyed('This gap is not in the draft any more');
  if (gap.type === 'bank' && !question.bank.some(({ id }) => id === given))
    return notKeyed('This word is not in the bank any more');
  const accepted = acceptIn(gap, given, as, newId, context);
  if (!accepted.ok) return accepted;
  const next = {
    ...question,
    gaps: question.gaps.map((one) => (one === gap ? accepted.question : one)),
  };
  const alone = mark(next, { kind: 'gaps', gaps: { [part]: given } }, context);
  const earned = alone.parts.find(({ id }) => id === part);
  return earned && earned.state === 'marked' && equal(earned.keyCredit, as.credit)
    ? keyed(next)
    : notKeyed('Something else in the key of this gap would still decide: change it in Write');
}

/** An answer of one gap is what was given in it; of several, each is keyed by itself. */
export function accept(
  question: GapsQuestion,
  answer: GapsAnswer,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<GapsQuestion> {
  const [gap, ...others] = question.gaps;
  const given = gap && valueAt(answer.gaps, gap.id);
  if (!gap || others.length > 0)
    return notKeyed(
      'An answer with several gaps cannot be added to the key whole: judge its gaps one by one',
    );
  if (given === undefined || given.trim() === '') return notKeyed('There is no answer in the gap');
  return acceptPart(question, { part: gap.id, given }, as, newId, context);
}
