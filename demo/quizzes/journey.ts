import {
  ALL_BY_HAND,
  around,
  banked,
  boxes,
  gaps,
  match,
  note,
  order,
  pickSeveral,
  quiz,
  rows,
  say,
  settings,
  shared,
  spot,
  trueFalse,
  typed,
  variant,
  written,
} from '../words';

const COURSE =
  'A river seen from above. It rises in the mountains in the north-west, falls over a step of rock, meets a second river, swings through wide bends past a curved lake, and parts into three arms before the sea in the east.';

const ZERO = { n: 0, d: 1 };
const HALF = { n: 1, d: 2 };

/** Closed, with answers in the students' own words to be marked: one question of each kind that has parts. */
export const JOURNEY = quiz(
  'demo-journey',
  {
    title: 'The journey of a river',
    topic: 'Landforms',
    instructions: 'All of the river, from its beginning to its end. You may use your notes.',
  },
  [
    note(
      shared(
        'q-read',
        'The Alder rises at 980 m, falls over hard rock after 3 km, and winds through flat land for 60 km before it reaches the sea. It carries pebbles at first, then sand, and only mud at the end.',
      ),
    ),
    pickSeveral(
      shared('q-make', 'Which of these does a river build up?', { partly: say('Some are still missing.') }),
      ['delta', 'levee', 'floodplain'],
      [
        ['gorge', say('A gorge is cut, not built.', 'Worn away or built up', 'built')],
        ['waterfall', say('Hard rock that is left standing.', 'Worn away or built up', 'built')],
      ],
    ),
    trueFalse(
      shared('q-inner', 'In a bend the water flows fastest along the inner bank.'),
      false,
      say('Which bank has the longer way round?', 'How a bend moves', 'bends'),
    ),
    gaps(
      shared('q-bend', 'What happens in a bend? Fill the gaps.'),
      'On the outer bank the water is {speed} and the river {outer}; on the inner bank it {inner} sand. In the end the bend is cut off and becomes an {lake}.',
      [
        typed('speed', settings('smallErrorsPass', 0.1), [
          variant('fast', ['faster', 'quicker', 'fast'], 100),
          variant('deep', ['deeper'], 50, say('It is that, too. But how does it move?')),
          variant('slow', ['slower', 'slow'], 0, say('Which bank has the longer way round?')),
        ]),
        banked('outer', 'erodes', ['deposits', say('The other way round.')]),
        banked('inner', 'deposits', ['erodes', say('The other way round.')]),
        typed('lake', settings('smallErrorsPass', 0.1), [
          variant('oxbow', ['oxbow lake', 'oxbow', 'cut-off lake'], 100),
        ]),
      ],
      ['erodes', 'deposits', 'dissolves', 'freezes'],
    ),
    match(
      shared('q-where', 'What would you find in which part of the river?'),
      [
        ['waterfall', 'upper course'],
        ['meander', 'middle course', say('Look where it swings most widely.')],
        ['delta', 'lower course', say('Where does a river part into arms?', 'Deltas', 'deltas')],
      ],
      ['source'],
    ),
    order(shared('q-order', 'Put these in order, from the spring to the sea.'), [
      'waterfall',
      'confluence',
      'oxbow lake',
      'delta',
    ]),
    boxes(
      shared('q-sort', 'What wears land away, and what builds it up?'),
      {
        'wears away': ['abrasion', 'attrition', 'hydraulic action'],
        'builds up': ['deposition', 'silting'],
      },
      { attrition: say('Stones grind each other down.', 'Words for rivers', 'words') },
    ),
    rows(
      shared('q-true', 'What did the text about the Alder say?'),
      ['yes', 'no', 'it does not say'],
      [
        ['It carries mud at its end.', 'yes'],
        ['It is 60 km long.', 'no', say('60 km is the flat part alone. Read the first sentence again.')],
        ['Ships sail on it.', 'it does not say', say('You may know rivers with ships; the text has none.')],
      ],
    ),
    spot(shared('q-spot', 'Press the oxbow lake.'), 'journey', COURSE, [
      around('the oxbow lake', [61, 36, 12, 19]),
      around('a meander', [42, 54, 25, 26], ZERO, say('That bend is still part of the river.')),
      around('where rivers meet', [33, 55, 8, 12], ZERO, say('That is a confluence.')),
    ]),
    spot(
      shared('q-springs', 'Press both places where a river rises.'),
      'journey',
      COURSE,
      [
        around('western spring', [13, 23, 8, 13]),
        around('northern spring', [45, 13, 8, 13]),
        around('waterfall', [21, 38, 8, 12], HALF, say('Near. Go on up to where it begins.')),
      ],
      2,
    ),
    written(
      shared(
        'q-why',
        'Why is there sand on the beach of a river, but pebbles in the mountains? Two or three sentences.',
      ),
      {
        'What is carried': ['not said', 'said', 'said, with why'],
        'Where the water slows down': ['not said', 'said'],
      },
      ['slower', 'smaller', 'ground down', 'attrition', 'carry'],
    ),
  ],
  {
    'q-make': 2,
    'q-bend': 4,
    'q-where': 3,
    'q-order': 3,
    'q-sort': 2,
    'q-true': 3,
    'q-springs': 2,
    'q-why': 3,
  },
  { plan: ALL_BY_HAND },
);
