import { Suspense } from 'react';
import { kindOf, type Question } from '@/core/kinds';
import type { Faces } from '../../faces';
import { sitFace } from '../../sit';

/** A trial answer, given as a student gives it. */
export const SitTry: Faces<Question>['Try'] = ({ question, context, value, onChange }) => {
  const Sit = sitFace(question.kind);
  return (
    <div className="sit-small py-1">
      <Suspense fallback={null}>
        <Sit
          face={kindOf(question).faceOf(question, 1)}
          answer={value}
          labelledBy="try-answer"
          language={context.language}
          onAnswer={onChange}
        />
      </Suspense>
    </div>
  );
};
