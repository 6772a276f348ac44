import { option, phrase, pickOne, quiz, say, settings, shared, variant, withPicture } from '../words';

const CYCLE =
  'Sea on the left, a mountain with a river on the right, sun and clouds above. Arrow 1 goes up from the sea. Number 2 is in a cloud. Arrow 3 points from a raining cloud down to the mountain. Arrow 4 points down the slope to the sea.';

/** Long handed back: the first quiz of the year, set to both classes. */
export const CYCLE_QUIZ = quiz(
  'demo-cycle',
  {
    title: 'Round and round: the water cycle',
    topic: 'Flow',
    instructions: 'To see what you remember from last year.',
  },
  [
    phrase(
      { ...shared('q-up', ''), text: withPicture('What happens at arrow 1? One word.', 'cycle', CYCLE) },
      settings('smallErrorsPass', 0.1),
      [
        variant('up', ['evaporation', 'water evaporates', 'evaporating'], 100),
        variant(
          'steam',
          ['steam', 'boiling'],
          0,
          say('Water need not boil for this.', 'The water cycle in six steps', 'cycle'),
        ),
        variant('plants', ['transpiration'], 0, say('That is water given off by plants.')),
      ],
    ),
    phrase(
      shared('q-cloud', 'What happens at 2, so that clouds form? One word.'),
      settings('smallErrorsPass', 0.1),
      [
        variant('cloud', ['condensation', 'it condenses', 'condensing'], 100),
        variant(
          'turned',
          ['evaporation'],
          0,
          say('That is number 1. Here it goes the other way.', 'The water cycle in six steps', 'cycle'),
        ),
      ],
    ),
    phrase(
      shared('q-down', 'One word for everything that falls at arrow 3, whether rain, snow or hail.'),
      settings('smallErrorsPass', 0.1),
      [
        variant('all', ['precipitation'], 100),
        variant('rain', ['rain', 'rainfall'], 50, say('Rain is one kind of it.')),
      ],
    ),
    pickOne(shared('q-over', 'What do we call the water that flows down the slope at arrow 4?'), [
      option('runoff', 'surface runoff', 100),
      option(
        'ground',
        'groundwater',
        0,
        say('That flows below the surface.', 'The water cycle in six steps', 'cycle'),
      ),
      option('vapour', 'vapour', 0),
    ]),
    pickOne(shared('q-fresh', 'Where on Earth is most of the fresh water?'), [
      option('ice', 'in ice and snow', 100),
      option('ground', 'in the ground', 0, say('The second largest store.', 'Where the water is', 'stores')),
      option('lakes', 'in lakes', 0, say('Less than one part in a hundred.', 'Where the water is', 'stores')),
      option('rivers', 'in rivers', 0, say('The smallest of these stores.', 'Where the water is', 'stores')),
    ]),
  ],
);
