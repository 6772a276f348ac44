import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { ideasIn } from '@/core/kinds/written/ideas';
import { runs } from '../../runs';

const marked = (text: string, ideas: string[], language = 'en'): string[] =>
  ideasIn(text, ideas, language).map(({ from, to, idea }) => `${text.slice(from, to)}=${ideas[idea] ?? ''}`);

describe('ideas in a written answer', () => {
  const cases: [text: string, ideas: string[], found: string[]][] = [
    ['The river is slower.', ['slower'], ['slower=slower']],
    ['SLOWER, and slower still', ['slower'], ['SLOWER=slower', 'slower=slower']],
    ['They are ground down on the way', ['ground down'], ['ground down=ground down']],
    ['down to the ground', ['ground down'], []],
    // A small error passes, another ending too; a short word must be as it is.
    ['by atrition', ['attrition'], ['atrition=attrition']],
    ['it erodes, eroded and eroding', ['erode'], ['erodes=erode', 'eroded=erode']],
    ['the sediments', ['sediment'], ['sediments=sediment']],
    ['sit on the bank', ['silt'], []],
    ['the river Élbe’s speed', ['elbe'], ['Élbe=elbe']],
    // The longer idea has the stretch.
    ['an oxbow lake', ['lake', 'oxbow lake'], ['oxbow lake=oxbow lake']],
    ['vitesse réduite', ['reduite'], ['réduite=reduite']],
    ['', ['lake'], []],
    ['anything', ['', '  '], []],
    ['2 km', ['2 km'], ['2 km=2 km']],
  ];
  for (const [text, ideas, found] of cases)
    test(`${text || 'nothing'} · ${ideas.join(', ')}`, () => assert.deepEqual(marked(text, ideas), found));

  test('law: stretches lie in the text, in order, and do not overlap', () => {
    const word = fc.constantFrom('silt', 'sand', 'erosion', 'flow', 'bank', 'É', '-', '\n', '  ');
    fc.assert(
      fc.property(fc.array(word, { maxLength: 30 }), fc.array(word, { maxLength: 4 }), (text, ideas) => {
        const whole = text.join(' ');
        let end = 0;
        for (const { from, to, idea } of ideasIn(whole, ideas, 'en')) {
          assert.ok(from >= end && to > from && to <= whole.length && idea < ideas.length);
          end = to;
        }
      }),
      { numRuns: runs(200) },
    );
  });
});
