import { acceptPart } from './acceptPart';
import { classFace } from './classFace';
import { plural } from '../../figures/plural';
import { called, given, shown, shownBesideRight, shownRight } from './shown';
import { larger, smaller, toPercentText, ZERO } from '../../figures/fraction';
import { costOfWrong } from '../shared/costWords';
import { defineKind } from '../kind';
import { joinParts } from '../shared/answerCells';
import { readAnswer, spotText } from './cells';
import { makeUp } from './makeUp';
import { bestCredit, explain, hasKey, mark } from './mark';
import { SpotAnswer, SpotFace, SpotQuestion } from './schema';
import { lines, problems } from './words';

export const spot = defineKind<SpotQuestion, SpotAnswer, SpotFace>({
  name: 'spot',
  title: 'Spot on a picture',
  about: {
    what: 'Places are pressed on a picture.',
    marks: 'itself',
    part: 'each right spot earns its share, and near ones a part.',
  },
  question: SpotQuestion,
  answer: SpotAnswer,
  face: SpotFace,
  create: () => ({ kind: 'spot', picture: null, areas: [], asked: 1, lambda: ZERO, rim: null }),
  next: ({ lambda, rim }) => ({ kind: 'spot', picture: null, areas: [], asked: 1, lambda, rim }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit: (question) =>
    larger({ n: -1, d: 1 }, smaller(ZERO, { n: -question.lambda.n, d: question.lambda.d })),
  describe: ({ areas, asked, lambda, rim }) => [
    `${asked} ${plural(asked, 'spot is', 'spots are')} asked for.`,
    ...areas.map(({ name, credit }) => `“${name}” earns ${toPercentText(credit)}%.`),
    ...(rim ? [`Near an area, a spot earns ${toPercentText(rim.share)}% of its points.`] : []),
    ...(lambda.n > 0 ? [`A spot outside every area costs ${costOfWrong(lambda, 'right one')}.`] : []),
  ],
  partsOf: ({ asked }) => asked,
  partName: 'spot',
  mark,
  explain,
  answerKey: ({ spots }) => JSON.stringify(spots.map(({ x, y }) => [x.n, x.d, y.n, y.d])),
  answerText: (_, { spots }) => joinParts(spots.map(spotText)),
  readAnswer,
  shown,
  shownBesideRight,
  called,
  givenAs: 'picture',
  shownRight,
  given,
  acceptPart,
  classFace,
  ground: ({ picture, areas }) => picture && { picture, areas },
  makeUp,
  faceOf: ({ picture, asked }) => ({ kind: 'spot', picture, asked }),
  lines,
  places: { areas: 'area' },
});
