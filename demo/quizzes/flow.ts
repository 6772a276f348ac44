import {
  EACH_AS_IT_CLOSES,
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

const CUBIC = {
  kind: 'required' as const,
  units: [
    { names: ['m³/s', 'm3/s', 'm^3/s', 'cubic metres per second'], factor: '1' },
    { names: ['l/s', 'L/s', 'litres per second'], factor: '0.001' },
  ],
  missing: { n: 1, d: 2 },
  unknown: { n: 0, d: 1 },
};

/** Scheduled for next week: mostly numbers. */
export const FLOW = quiz(
  'demo-flow',
  {
    title: 'How much water? Measuring flow',
    topic: 'Flow',
    instructions: 'You need your notes from the day at Stony Ford and a calculator.',
  },
  [
    number(
      {
        ...shared('q-section', ''),
        text: withPicture(
          'How large is the cross-section of the water at Stony Ford, in square metres?',
          'section',
          'A river bed like a box, 4 m wide. The water is 0.5 m deep everywhere. It is divided into four equal strips, P, Q, R and S.',
        ),
        explanation: 'Width × depth: 4 m × 0.5 m = 2 m².',
      },
      '2',
      {
        unit: mayHave('m²', 'm2', 'm^2', 'square metres', 'sq m'),
        expected: [
          expected(
            'sum',
            '4.5',
            0,
            say('Width and depth are multiplied, not added.', 'Areas, again', 'areas'),
          ),
          expected('strip', '0.5', 0, say('That is one strip only. There are four.')),
        ],
      },
    ),
    number(
      shared(
        'q-float',
        'An orange floats 12 m down the river in 20 seconds. How fast is it, in metres per second?',
        {
          explanation:
            'Speed is distance divided by time: \\(v = \\frac{s}{t} = \\frac{12\\,\\mathrm{m}}{20\\,\\mathrm{s}} = 0.6\\,\\mathrm{m/s}\\).',
        },
      ),
      '0.6',
      {
        unit: mayHave('m/s', 'metres per second'),
        bands: [
          { kind: 'exact', credit: { n: 1, d: 1 } },
          { kind: 'amount', amount: '0.05', credit: { n: 1, d: 2 } },
        ],
        expected: [
          expected(
            'turned',
            '1.67',
            0,
            say('That is seconds for each metre. Divide the other way round.', 'Speed', 'speed'),
          ),
        ],
      },
    ),
    number(
      shared(
        'q-flow',
        'The cross-section is \\(A = 2\\,\\mathrm{m^2}\\) and the water moves at \\(v = 0.6\\,\\mathrm{m/s}\\). What is the discharge \\(Q\\)? Give the unit.',
        {
          explanation:
            'Discharge is cross-section times speed: \\(Q = A \\cdot v = 2\\,\\mathrm{m^2} \\cdot 0.6\\,\\mathrm{m/s} = 1.2\\,\\mathrm{m^3/s}\\).',
        },
      ),
      '1.2',
      {
        unit: CUBIC,
        expected: [expected('sum', '2.6', 0, say('Multiply: so much water passes each second.'))],
      },
    ),
    pickOne(shared('q-fastest', 'Where in the river is the water usually fastest?'), [
      option('middle', 'in the middle, just below the surface', 100),
      option(
        'bed',
        'at the bed',
        0,
        say('The bed slows it down.', 'Three measurements on one river', 'speed'),
      ),
      option(
        'banks',
        'along the banks',
        0,
        say('The banks slow it down.', 'Three measurements on one river', 'speed'),
      ),
      option('same', 'it is the same everywhere', 0),
    ]),
    phrase(
      shared('q-meter', 'Which instrument measures the speed of the water by the turns of a propeller?'),
      settings('smallErrorsPass', 0.1),
      [
        variant('meter', ['current meter', 'impeller flow meter', 'flow meter'], 100),
        variant('float', ['float', 'orange'], 0, say('A float shows the speed too, but nothing turns.')),
      ],
      'nearMissesWait',
    ),
  ],
  { 'q-flow': 3, 'q-section': 2, 'q-float': 2 },
  { plan: EACH_AS_IT_CLOSES },
);
