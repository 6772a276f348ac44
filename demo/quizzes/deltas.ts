import {
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
} from '../words';

/** A draft that is not finished: one question has no key yet. */
export const DELTAS = quiz(
  'demo-deltas',
  {
    title: 'Where a river ends',
    topic: 'Landforms',
    instructions: 'After the lesson on deltas and estuaries.',
  },
  [
    pickOne(
      {
        ...shared('q-bird', '', {
          explanation:
            'It grows where the sea is too calm to carry the mud away: each arm builds its own banks.',
        }),
        text: withPicture(
          'Which of these river mouths is a bird’s foot delta?',
          'deltas',
          'Three river mouths from above. A: land fans out into the sea in one smooth curve, the river in three arms. B: three narrow fingers of land reach into the sea, an arm of the river in each. C: the river widens like a funnel, and no new land is built.',
        ),
      },
      [
        option('a', 'A', 0, say('That one is a smooth fan.', 'Three kinds of river mouth', 'mouths')),
        option('b', 'B', 100, say('Yes: three toes.')),
        option(
          'c',
          'C',
          0,
          say('That is an estuary: no land is built there.', 'Three kinds of river mouth', 'mouths'),
        ),
      ],
    ),
    phrase(
      shared('q-fan', 'What do we call the land that a river builds up at its mouth?'),
      settings('smallErrorsPass', 0.1),
      [
        variant('delta', ['delta', 'river delta'], 100),
        variant(
          'floodplain',
          ['floodplain', 'flood plain'],
          0,
          say('That lies beside the river, not at its end.'),
        ),
      ],
    ),
    number(
      shared('q-grows', 'A delta grows by 15 m a year. By how many metres does it grow in 8 years?'),
      '120',
      {
        expected: [expected('sum', '23', 0, say('Fifteen metres in every one of the eight years.'))],
      },
    ),
    phrase(
      shared('q-tide', 'What do we call a river mouth in which the tide runs in and out?'),
      settings('smallErrorsPass', 0.1),
      [],
    ),
  ],
);
