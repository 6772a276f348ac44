import type { Question } from '@/core/kinds';
import { SILENCE } from '@/core/content/silence';
import { option, phrase, pickOne, quiz, say, settings, shared, variant } from '../words';

/** Open, with work coming in: eight questions, four of each of two kinds. */

const QUESTIONS: readonly Question[] = [
  pickOne(
    shared('q-cutting', 'In which part of its course does a river cut down fastest?', {
      explanation: 'Near its source the bed is steep, and most of the water’s energy goes into cutting down.',
    }),
    [
      option('upper', 'upper course', 100, say('Yes: steep bed, narrow valley.')),
      option(
        'middle',
        'middle course',
        0,
        say('There it has begun to cut sideways.', 'Three courses of a river', 'courses'),
      ),
      option(
        'lower',
        'lower course',
        0,
        say('There it mostly lays down what it carries.', 'Three courses of a river', 'courses'),
      ),
    ],
  ),
  phrase(
    shared(
      'q-oxbow',
      'A meander is cut off in a flood. What do we call the crescent of still water that is left behind?',
      { explanation: 'The river takes the short way through the neck; the old bend is sealed off by silt.' },
    ),
    settings('smallErrorsPass', 0.1),
    [
      variant('oxbow', ['oxbow lake'], 100, say('Yes. What happens to it in the end?')),
      variant(
        'cutoff',
        ['cut-off', 'cutoff lake'],
        50,
        say('That names how it came about.', 'The four stages, page 2', 'oxbow'),
      ),
      variant(
        'lagoon',
        ['lagoon'],
        0,
        say('A lagoon lies behind a bar on the coast.', 'Lagoon or oxbow?', 'lagoon'),
      ),
      variant('meander', ['meander'], 0),
    ],
  ),
  pickOne(
    shared('q-deposition', 'Which of these is built up by a river, not worn away?', {
      wrong: say(
        'Ask of each: was something added here, or taken away?',
        'Wearing away and laying down',
        'load',
      ),
      explanation: 'In a flood the river drops its coarsest load first, right beside its bed.',
    }),
    [
      option('levee', 'levee', 100),
      option('gorge', 'gorge', 0),
      option('pothole', 'pothole', 0),
      option(
        'fall',
        'waterfall',
        0,
        say('A waterfall wears back, step by step.', 'How a waterfall moves', 'waterfall'),
      ),
    ],
  ),
  phrase(
    shared('q-floodplain', 'What do we call the flat land beside a river that lies under water in a flood?', {
      right: say('Yes.'),
      wrong: say('Look at the blue hatching on the flood map.', 'Reading the flood map', 'flood-map'),
    }),
    settings('spellingCounts'),
    [
      variant('plain', ['floodplain'], 100),
      variant(
        'meadow',
        ['water meadow', 'flood meadow'],
        50,
        say('One use of it. What is the landform called?'),
      ),
      variant(
        'delta',
        ['delta'],
        0,
        say('A delta lies where the river ends.', 'Where a river ends', 'delta'),
      ),
    ],
  ),
  pickOne(
    shared(
      'q-speed',
      'Compared with the upper course, the average speed of the water in the lower course is usually …',
      {
        explanation: 'The bed is smoother and deeper there, so less of the energy is lost to friction.',
      },
    ),
    [
      option('higher', 'a little higher', 100),
      option(
        'steeper',
        'higher, because the bed is steeper there',
        50,
        say('Higher, yes. But look at the slope again.', 'Slope and friction', 'speed'),
      ),
      option(
        'lower',
        'much lower',
        0,
        say(
          'It looks so, because the water is calm. Measured, it is not.',
          'Three measurements on one river',
          'speed',
        ),
      ),
      option('same', 'the same', 0),
    ],
  ),
  phrase(
    shared('q-discharge', 'Which word names the volume of water that passes a place in a second?', {
      explanation:
        'Discharge is cross-section times speed, in cubic metres per second: \\(Q = A \\cdot v\\).',
    }),
    settings('smallErrorsPass'),
    [
      variant('discharge', ['discharge', 'river discharge'], 100),
      variant('flow', ['flow', 'flow rate'], 50, say('Close: the measured volume has a name of its own.')),
      variant(
        'speed',
        ['velocity', 'speed', 'current'],
        0,
        say('That is metres per second. Here it is cubic metres.', 'Speed and discharge', 'discharge'),
      ),
    ],
  ),
  pickOne(
    shared(
      'q-contours',
      'Contour lines bend into a V where they cross a river. Which way does the V point?',
      {
        wrong: say(
          'Follow one line with your finger: which side of the valley is higher?',
          'Reading contour lines',
          'contours',
        ),
      },
    ),
    [
      option('up', 'upstream', 100),
      option('down', 'downstream', 0),
      option('bank', 'to the steeper bank', 0),
    ],
  ),
  phrase(
    shared('q-abrasion', 'Stones carried by a river wear down its bed like sandpaper. What is this called?', {
      right: say('Yes: the load is the tool.'),
      explanation: 'Abrasion wears the bed; attrition wears the stones themselves.',
    }),
    settings('smallErrorsPass'),
    [
      variant('abrasion', ['abrasion', 'corrasion'], 100, SILENCE, 'phrase'),
      variant('erosion', ['erosion'], 50, say('That is the whole family. Which member?')),
      variant(
        'attrition',
        ['attrition'],
        0,
        say('There the stones wear each other.', 'Four ways of wearing away', 'erosion'),
      ),
    ],
    'waits',
  ),
];

export const RIVERS = quiz(
  'demo-rivers',
  {
    title: 'How rivers shape the land',
    topic: 'Landforms',
    instructions: 'Homework for the week of the flood map. Take your time; you may look things up.',
  },
  QUESTIONS,
  { 'q-oxbow': 2, 'q-floodplain': 2, 'q-speed': 2, 'q-abrasion': 2 },
);
