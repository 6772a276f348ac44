import { newSection } from '@/core/quiz/section';
import {
  idOf,
  ALL_BY_HAND,
  expected,
  number,
  option,
  phrase,
  pickOne,
  quiz,
  say,
  settings,
  shared,
  variant,
  withPicture,
  mayHave,
} from '../words';

const MAP =
  'A map with contour lines from 340 m in the north-west down to 220 m in the south-east. A river rises at A, on the 340 m line. A second stream joins it beside B, below the 300 m line. C stands on a slope between the 280 m and the 260 m line. D stands where the river crosses the 220 m line in the south-east.';

const HEIGHT = mayHave('m', 'metres', 'metre');

/** Handed back: set to one group of a class. */
export const MAPS = quiz(
  'demo-maps',
  {
    title: 'Reading the map of a valley',
    topic: 'Maps',
    instructions: 'The map stays beside you. Heights are in metres.',
  },
  [
    pickOne(shared('q-joins', 'Which letter stands at a confluence?'), [
      option('a', 'A', 0, say('A river begins there.', 'Words for rivers', 'words')),
      option('b', 'B', 100, say('Yes: two become one.')),
      option('c', 'C', 0, say('There is no river at C.')),
      option('d', 'D', 0, say('Only one river passes D.', 'Words for rivers', 'words')),
    ]),
    number(shared('q-spring', 'How high above the sea is the spring at A?'), '340', {
      unit: HEIGHT,
      expected: [
        expected('line', '320', 50, say('That is the next line down.', 'Reading contour lines', 'contours')),
      ],
    }),
    number(
      shared(
        'q-slope',
        'From A to D the river is 6 km long. By how many metres does it fall in one kilometre?',
        {
          hints: [
            {
              id: idOf('h-fall'),
              text: 'First find how far the river falls from A to D.',
              price: { n: 1, d: 4 },
            },
            { id: idOf('h-share'), text: 'Then share the fall out over the 6 km.', price: { n: 1, d: 4 } },
          ],
          explanation: '340 m − 220 m = 120 m; 120 m ÷ 6 km = 20 m in each kilometre.',
        },
      ),
      '20',
      {
        unit: HEIGHT,
        expected: [
          expected(
            'all',
            '120',
            50,
            say('That is the whole fall. Now share it out over the 6 km.', 'Slope', 'slope'),
          ),
          expected('turned', '0.05', 0, say('Divide the other way round.', 'Slope', 'slope')),
        ],
      },
    ),
    phrase(
      shared('q-way', 'In which direction does the river flow, from A to D?'),
      settings('smallErrorsPass'),
      [
        variant('se', ['south-east', 'south east', 'southeast', 'SE'], 100),
        variant('near', ['south', 'east'], 50, say('Half of it. Look at both edges of the map.')),
        variant(
          'from',
          ['north-west', 'north west', 'northwest', 'NW'],
          0,
          say('That is where it comes from.', 'North, south, east, west', 'compass'),
        ),
      ],
    ),
    pickOne(shared('q-close', 'Contour lines that lie close together show …'), [
      option('steep', 'a steep slope', 100),
      option(
        'flat',
        'flat land',
        0,
        say('There the lines lie far apart.', 'Reading contour lines', 'contours'),
      ),
      option(
        'high',
        'high land',
        0,
        say('How high it is, the numbers say.', 'Reading contour lines', 'contours'),
      ),
      option('wet', 'wet land', 0),
    ]),
    phrase(
      shared('q-ridge', 'What do we call the line along the ridge that parts the water of two rivers?'),
      settings('smallErrorsPass', 0.1),
      [
        variant('shed', ['watershed', 'divide', 'drainage divide', 'water divide'], 100),
        variant(
          'basin',
          ['drainage basin', 'catchment', 'basin'],
          0,
          say('That is the land inside the line.', 'Words for rivers', 'words'),
        ),
      ],
    ),
  ],
  { 'q-slope': 3, 'q-ridge': 2 },
  {
    plan: ALL_BY_HAND,
    order: ['s-valley', 'q-joins', 'q-spring', 'q-slope', 'q-way', 'q-close', 'q-ridge'].map(idOf),
    sections: [
      {
        ...newSection(idOf('s-valley')),
        heading: 'The map of the valley',
        text: withPicture('All questions are about this map.', 'valley', MAP),
      },
    ],
    bands: [
      { id: 'b-high', from: { n: 4, d: 5 }, feedback: say('You read maps like a surveyor.') },
      {
        id: 'b-middle',
        from: { n: 1, d: 2 },
        feedback: say('A good start: look at the lines once more.', 'Reading contour lines', 'contours'),
      },
    ],
    bandsOnCover: true,
  },
);
