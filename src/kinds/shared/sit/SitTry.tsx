import { Suspense } from 'react';
import { kindOf, type Question } from '@/core/kinds';
import type { Faces } from '../../faces';
import { sitFace } from '../../sit';

/** What is shuffled is shuffled here as for one student, the same each time. */
const ANY_SEED = 'try';

/** A trial answer, given as a student gives it. */
export const SitTry: Faces<Question>['Try'] = ({ question, context, value, onChange }) => {
  const Sit = sitFace(question.kind);
  return (
    <div className="sit-small py-1">
      <Suspense fallback={null}>
        <Sit
          face={kindOf(question).faceOf(question, ANY_SEED)}
          answer={value}
          labelledBy="try-answer"
          language={context.language}
          marked={false}
          onAnswer={onChange}
        />
      </Suspense>
    </div>
  );
};
