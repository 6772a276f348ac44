import { Words } from '@/ui/widgets/paper/Formula';
import { lazy, Suspense, useCallback, useRef, useState } from 'react';
import { withNewGap, withPassage } from '@/core/kinds/gaps/edit';
import { hasGapKey } from '@/core/kinds/gaps/mark';
import type { Gap, GapsQuestion } from '@/core/kinds/gaps/schema';
import { newId } from '@/device/ids';
import type { Faces } from '../faces';
import { Bank } from './Bank';
import { GapPanel, gapWords } from './GapPanel';
import { Ideas } from './Ideas';

const PassageEditor = lazy(() => import('./PassageEditor'));

const has = ({ gaps }: GapsQuestion, type: Gap['type']): boolean => gaps.some((gap) => gap.type === type);

export const Write: Faces<GapsQuestion>['Write'] = ({ question, onChange, context }) => {
  const [hand, setHand] = useState<string | null>(null);
  // Gaps that were cut out of the text, until they are put back elsewhere.
  const kept = useRef(new Map<string, Gap>());
  for (const gap of question.gaps) kept.current.set(gap.id, gap);
  const take = useCallback((id: string) => setHand((open) => (open === id ? null : id)), []);
  const gap = question.gaps.find(({ id }) => id === hand);
  return (
    <div>
      <p className="label-small mt-3">The text with its gaps</p>
      <Suspense fallback={<p className="prose-paper min-h-8" />}>
        <PassageEditor
          key={question.id}
          question={question}
          label="The text with its gaps"
          hand={hand}
          onHand={take}
          onPassage={(passage, made) => {
            const known = made ? withNewGap(question, made.id, made.words, { newId, context }) : question;
            onChange(withPassage(known, passage, kept.current));
            if (made) setHand(made.id);
          }}
        />
      </Suspense>
      {gap && <GapPanel question={question} gap={gap} context={context} onChange={onChange} />}
      {has(question, 'bank') && <Bank question={question} onChange={onChange} />}
      {has(question, 'pool') && <Ideas question={question} context={context} onChange={onChange} />}
    </div>
  );
};

/** The passage as students read it, with what is right in each gap. */
export const Folded: Faces<GapsQuestion>['Folded'] = ({ question }) => (
  <p className="prose-paper mt-1.5 whitespace-pre-line">
    {question.passage.map((part, at) => {
      if ('text' in part) return <Words key={at} text={part.text} />;
      const gap = question.gaps.find(({ id }) => id === part.gap);
      return (
        gap && (
          <span key={at} className={`gap-chip ${hasGapKey(question, gap) ? '' : 'gap-chip-open'}`}>
            {gapWords(question, gap)}
          </span>
        )
      );
    })}
    {question.bank.length > 0 && (
      <span className="caption block">
        Bank: {question.bank.map(({ text, times }) => (times > 1 ? `${text} ×${times}` : text)).join(' · ')}
      </span>
    )}
  </p>
);
