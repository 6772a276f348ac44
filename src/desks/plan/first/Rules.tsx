import { AttemptSentence } from '../sentences/AttemptSentence';
import { LateSentence } from '../sentences/LateSentence';
import { ComingBackSentence, GoingBackSentence, MissingSentence } from '../sentences/PageSentences';
import { TimeSentence } from '../sentences/TimeSentence';
import { UnfinishedSentence } from '../sentences/UnfinishedSentence';
import { Part } from './Part';

/** How often and how long students can take the quiz, and what becomes of work that is late, unfinished or missing. */
export const Rules = () => (
  <>
    <Part title="How often and how long">
      <AttemptSentence />
      <TimeSentence />
      <GoingBackSentence />
      <ComingBackSentence />
    </Part>
    <Part title="Late and missing work">
      <LateSentence />
      <UnfinishedSentence />
      <MissingSentence />
    </Part>
  </>
);
