import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { at, NEVER, planOf, waitsFor, type RevealAct } from '@/core/quiz/plan/plan';
import { aspectsByHand, shownSince, waitsBesides } from '@/core/reveal/byHand';

const blue = { kind: 'group', classId: 'c', group: 'blue' } as const;
const act = (at: number, act: RevealAct['act'], to: RevealAct['to'] = { kind: 'all' }): RevealAct => ({
  id: String(at), at, act, to, aspects: ['feedback'],
}); // prettier-ignore

describe('what waits for the teacher’s press', () => {
  test('by the plan of everyone, or by what is set apart for somebody', () => {
    const plan = planOf(NEVER, { score: waitsFor(at('byTeacher')) });
    assert.deepEqual(aspectsByHand(plan), ['score']);
    const own = { id: 'o', for: blue, aspects: { comments: waitsFor(at('byTeacher'), at('closed')) } };
    assert.deepEqual(aspectsByHand(plan, [own]), ['score', 'comments']);
  });
  test('what else is waited for, by itself or by what is needed', () => {
    const closed = at('closed');
    const plan = planOf(NEVER, {
      feedback: waitsFor(at('byTeacher')),
      questions: waitsFor(at('handedIn'), closed),
      score: waitsFor(at('byTeacher'), at('handedIn')),
    });
    assert.deepEqual(waitsBesides(plan, 'feedback'), [closed]);
    assert.deepEqual(waitsBesides(plan, 'score'), []);
    assert.deepEqual(waitsBesides(plan, 'comments'), []);
  });
  test('shown to some since the last press to them or to everyone', () => {
    const acts = [act(1, 'show'), act(2, 'takeBack', blue), act(3, 'show', blue)];
    assert.deepEqual([shownSince(acts, 'feedback'), shownSince(acts, 'feedback', blue)], [1, 3]);
    assert.equal(shownSince(acts.slice(0, 2), 'feedback', blue), null);
    assert.equal(shownSince([...acts, act(4, 'takeBack')], 'feedback', blue), null);
    assert.equal(shownSince(acts, 'score'), null);
  });
});
