import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { KIND_NAMES, Question } from '@/core/kinds';
import { questionsForStudent } from '@/core/reveal/slip';
import { SCHOOL } from '../../../demo/school';
import { paperOf } from '../support/support';

/** Everything that is said in a question's key, and to the teacher alone. */
const SECRET = new Set(['forms', 'name', 'topics', 'explanation', 'feedback', 'right', 'partly', 'wrong', 'hints', 'rubric', 'ideas']); // prettier-ignore
const CANARY = 'canary';

/** Every text below a secret field, made a canary. */
function planted(value: unknown, secret = false): unknown {
  if (typeof value === 'string') return secret ? `${CANARY} ${value}`.slice(0, 60) : value;
  if (Array.isArray(value)) return value.map((one) => planted(one, secret));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => {
      const kept = key === 'id' || key === 'kind' || key === 'address' || key === 'match';
      return [key, kept ? part : planted(part, secret || SECRET.has(key))];
    }),
  );
}

const QUESTIONS = SCHOOL.flatMap(({ quiz }) => quiz.questions);

describe('what a student is sent of a question', () => {
  for (const kind of KIND_NAMES)
    test(`${kind}: nothing of its key, and nothing that is for the teacher alone`, () => {
      const questions = QUESTIONS.filter((question) => question.kind === kind).map((question) =>
        Question.parse(planted({ ...question, name: 'name', topics: ['topic'] })),
      );
      assert.ok(questions.length > 0 && JSON.stringify(questions).includes(CANARY));
      const sent = JSON.stringify(questionsForStudent(paperOf(questions), { seed: 7, hints: {} }));
      assert.ok(!sent.includes(CANARY), sent);
      for (const field of ['credit', 'weight', 'feedback', 'variants', 'areas', 'rubric', 'name', 'topics'])
        assert.ok(!sent.includes(`"${field}"`), `${field} in ${sent}`);
    });
});
