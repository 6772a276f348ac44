import {
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

const CURVE =
  'A graph over twelve hours. Bars: rain, 2, 4, 10, 5 and 1 millimetres in hours 1 to 5. Line: discharge, 9 cubic metres in a second at first, rising from hour 3, 48 at its highest in hour 8, then falling to 20.';

const HOURS = mayHave('h', 'hours', 'hour', 'hrs', 'hr');

/** Closed, to be checked: near misses, late work, reasons in the students' own words. */
export const FLOODS = quiz(
  'demo-floods',
  {
    title: 'When the river rises',
    topic: 'Floods',
    instructions: 'The graph is the one from the lesson. One question asks for a reason in your own words.',
  },
  [
    number(
      {
        ...shared('q-lag', '', { explanation: 'The heaviest rain fell in hour 3, the peak came in hour 8.' }),
        text: withPicture('How many hours after the heaviest rain did the river peak?', 'hydrograph', CURVE),
      },
      '5',
      {
        unit: HOURS,
        bands: [
          { kind: 'exact', credit: { n: 1, d: 1 } },
          { kind: 'amount', amount: '0.5', credit: { n: 1, d: 2 } },
        ],
        expected: [
          expected(
            'peak',
            '8',
            0,
            say(
              'That is when it peaked. Count from the heaviest rain.',
              'Reading a hydrograph',
              'hydrograph',
            ),
          ),
          expected(
            'end',
            '3',
            0,
            say('That is when the rain was heaviest.', 'Reading a hydrograph', 'hydrograph'),
          ),
        ],
      },
    ),
    number(shared('q-peak', 'Read the peak discharge from the graph, in cubic metres in a second.'), '48', {
      bands: [
        { kind: 'amount', amount: '1', credit: { n: 1, d: 1 } },
        { kind: 'amount', amount: '3', credit: { n: 1, d: 2 } },
      ],
    }),
    phrase(
      shared('q-name', 'What do we call the time between the heaviest rain and the peak?'),
      settings('smallErrorsPass', 0.1),
      [
        variant('lag', ['lag time'], 100, say('Yes.')),
        variant('peak', ['peak time', 'peak flow'], 0, say('Peak names the highest point itself.')),
        variant(
          'limb',
          ['rising limb'],
          0,
          say('That is the part of the line that goes up.', 'Reading a hydrograph', 'hydrograph'),
        ),
      ],
    ),
    pickOne(
      shared('q-town', 'A valley is built up with roofs and car parks. What happens to a flood there?', {
        explanation: 'Rain runs off hard ground at once, so more water reaches the river sooner.',
      }),
      [
        option('both', 'the peak is higher and comes sooner', 100),
        option(
          'higher',
          'the peak is higher but comes later',
          50,
          say('Higher, yes. Now think of how fast the drains carry it off.'),
        ),
        option(
          'lower',
          'the peak is lower and comes later',
          0,
          say('That is what woods do.', 'Woods and car parks', 'land-use'),
        ),
        option('nothing', 'nothing changes', 0),
      ],
    ),
    phrase(
      shared('q-trees', 'Give one reason why trees in the valley make a flood lower.', {
        explanation:
          'Leaves catch part of the rain, roots take water up, and it sinks into loose ground more easily.',
      }),
      settings('onlyTheSense'),
      [
        variant(
          'catch',
          ['interception', 'leaves catch the rain', 'the leaves catch rain'],
          100,
          say('Yes.'),
        ),
        variant(
          'roots',
          ['roots take up water', 'roots soak up water', 'roots drink water'],
          100,
          say('Yes.'),
        ),
        variant(
          'shade',
          ['shade', 'because of the shade'],
          0,
          say('Shade keeps water cool. Where does the rain go?', 'Woods and car parks', 'land-use'),
        ),
      ],
      'waits',
    ),
    phrase(
      shared('q-wall', 'What do we call the wall of earth that keeps a flood away from houses?'),
      settings('spellingCounts'),
      [
        variant('bank', ['embankment', 'levee', 'dyke', 'dike'], 100),
        variant(
          'dam',
          ['dam'],
          0,
          say('A dam stands across the river.', 'Six ways to live with floods', 'defences'),
        ),
      ],
    ),
    pickOne(shared('q-hundred', 'The map shows the “1 in 100 years” flood. What does that mean?'), [
      option('chance', 'each year the chance of it is 1 in 100', 100),
      option(
        'every',
        'it comes every 100 years',
        0,
        say('Two can come in two years. It is a chance.', 'What 1 in 100 means', 'chance'),
      ),
      option('past', 'it came 100 years ago', 0),
      option('once', 'it comes once and then never again', 0),
    ]),
  ],
  { 'q-lag': 2, 'q-name': 2, 'q-trees': 2 },
  {
    plan: ALL_BY_HAND,
    late: { kind: 'steps', step: 'day', share: { n: 1, d: 10 }, of: 'earned', cap: { n: 3, d: 10 } },
  },
);
