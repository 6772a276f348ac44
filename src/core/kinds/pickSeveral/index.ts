import { ONE, toDecimalText, toPercentText, ZERO } from '../../figures/fraction';
import { SILENCE } from '../../quiz/silence';
import { joinParts, splitParts } from '../cells';
import { asRead, onlyByHand, unreadable, type Kind, type Problem, type ReadCell } from '../kind';
import type { MarkingContext } from '../../marking/mark';
import { optionName, optionNamed } from '../pickOne/name';
import { bestCredit, explain, hasKey, isRight, lowestCredit, mark } from './mark';
import { PickSeveralAnswer, PickSeveralFace, PickSeveralQuestion, type SeveralOption } from './schema';
import { makeUp } from './makeUp';

const emptyOption = (id: string): SeveralOption => ({
  id, text: '', picture: null, right: false, weight: ZERO, feedback: SILENCE, gone: false,
}); // prettier-ignore

const open = (question: PickSeveralQuestion) => question.options.filter((option) => !option.gone);

function problems(question: PickSeveralQuestion): Problem[] {
  const found: Problem[] = [];
  const texts = open(question).map(optionName);
  if (texts.filter(Boolean).length < 2) found.push({ code: 'noOptions', text: 'fewer than two options' });
  if (texts.some((text, at) => text !== '' && texts.indexOf(text) !== at))
    found.push({ code: 'twice', text: 'the same option twice' });
  if (!hasKey(question)) found.push({ code: 'noKey', text: 'no key' });
  return found;
}

const MODELS: Readonly<Record<PickSeveralQuestion['model'], string>> = {
  allOrNothing: 'Exactly the right ones earn everything, anything else nothing.',
  shareOfRight: 'Each right pick earns its share; more picks than there are right ones cost as much.',
  rightMinusWrong: 'Each right pick earns its share, each wrong pick costs',
  everyOption: 'Every option counts: picked where it is right, left where it is not.',
  ownWeights: 'The weights of the picked options add up.',
};

function describe(question: PickSeveralQuestion): string[] {
  const { model, lambda } = question;
  const rule =
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model];
  const options = open(question)
    .filter((option) => (model === 'ownWeights' ? option.weight.n !== 0 : option.right))
    .map((option) =>
      model === 'ownWeights'
        ? `“${optionName(option)}” weighs ${toPercentText(option.weight)} %.`
        : `“${optionName(option)}” is right.`,
    );
  return [...options, rule];
}

/** The options that a cell names: each by its text, capitals and punctuation apart, else by its letter. */
function readAnswer(
  question: PickSeveralQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<PickSeveralAnswer> {
  const options: string[] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const option = optionNamed(question.options, part, language);
    if (!option) return unreadable(`“${part}” is not one of the options`);
    options.push(option.id);
  }
  return asRead(options.length === 0 ? null : { kind: 'pickSeveral', options: [...new Set(options)] });
}

export const pickSeveral: Kind<PickSeveralQuestion, PickSeveralAnswer, PickSeveralFace> = {
  name: 'pickSeveral',
  title: 'Pick several',
  question: PickSeveralQuestion,
  answer: PickSeveralAnswer,
  face: PickSeveralFace,
  create: (newId) => ({
    kind: 'pickSeveral',
    options: [emptyOption(newId()), emptyOption(newId()), emptyOption(newId())],
    model: 'rightMinusWrong',
    lambda: ONE,
  }),
  next: (question, newId) => ({
    kind: 'pickSeveral',
    options: open(question).map(() => emptyOption(newId())),
    model: question.model,
    lambda: question.lambda,
  }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: ({ options }) => options.join(' '),
  answerText: (question, { options }) =>
    joinParts(question.options.filter(({ id }) => options.includes(id)).map(optionName)),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [
    joinParts(
      open(question)
        .filter((option) => isRight(question, option))
        .map(optionName),
    ),
  ],
  makeUp,
  faceOf: (question) => ({
    kind: 'pickSeveral',
    options: open(question)
      .filter((option) => optionName(option) !== '')
      .map(({ id, text, picture }) => ({ id, text, picture })),
  }),
};
