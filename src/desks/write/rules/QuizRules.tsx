import { Fragment } from 'react';
import type { MustAnswer } from '@/core/quiz/placement';
import { pointsOfPaper } from '@/core/quiz/points';
import type { Pages } from '@/core/quiz/quiz';
import { ChoicePart, SwitchPart } from '@/kinds/shared/parts/ChoicePart';
import { ORDER_WORDS } from '@/kinds/shared/parts/ShufflePart';
import { useUnfolded } from '@/ui/editing/unfolded';
import { usePaper } from '@/ui/teacher/quizContext';
import { useContentField } from '@/ui/teacher/useContentField';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { BELOW_0 } from '@/ui/words/costWords';
import { pointWord } from '@/ui/words/figures';
import { LANGUAGES } from '@/ui/words/languages';
import { MUST_WORDS } from '@/ui/words/mustWords';
import { PenaltyPart } from './PenaltyPart';
import { QuietLine } from './QuietLine';
import { quizRules } from './ruleWords';
import { ScoreSentence } from './ScoreSentence';

/** The language of the answers, and the sign of their decimals. */
function ReadingPart() {
  const language = useContentField('language', 'Change the language');
  const decimalSign = useContentField('decimalSign', 'Change the decimal sign');
  return (
    <>
      Answers are in{' '}
      <span className="whitespace-nowrap">
        <select
          className="sentence-part"
          aria-label="Language of the answers"
          value={language.value}
          onChange={(event) => language.edit(event.target.value)}
        >
          {LANGUAGES.map(([tag, name]) => (
            <option key={tag} value={tag}>
              {name}
            </option>
          ))}
        </select>
        , with
      </span>{' '}
      a decimal{' '}
      <select
        className="sentence-part"
        aria-label="Decimal sign of the answers"
        value={decimalSign.value}
        onChange={(event) => decimalSign.edit(event.target.value as 'point' | 'comma')}
      >
        <option value="point">point</option>
        <option value="comma">comma</option>
      </select>
    </>
  );
}

/** Whether every student meets questions and options in an order of their own. */
function OrderPart() {
  const questions = useContentField('shuffled', 'Change the order of questions');
  const options = useContentField('shuffledOptions', 'Change the order of options');
  const parts = [
    ['Questions', 'Order of questions', questions],
    ['options', 'Order of options', options],
  ] as const;
  return (
    <>
      {parts.map(([words, label, field], at) => (
        <Fragment key={label}>
          {at > 0 && ' and '}
          {words} come{' '}
          <select
            className="sentence-part"
            aria-label={label}
            value={String(field.value)}
            onChange={(event) => field.edit(event.target.value === 'true')}
          >
            <option value="false">{ORDER_WORDS.written}</option>
            <option value="true">{ORDER_WORDS.shuffled}</option>
          </select>
        </Fragment>
      ))}
      .
    </>
  );
}

/** What wrong answers cost, and whether a question may take points away, unless it says otherwise. */
function CostPart() {
  const penalty = useContentField('penalty', 'Change what a wrong answer costs');
  const below = useContentField('negativeCredit', 'Change what happens below 0');
  return (
    <>
      {'A wrong answer costs '}
      <PenaltyPart
        value={penalty.value}
        quiz={null}
        guessable
        onChange={(next) => next && penalty.edit(next)}
      />
      {'; a question that ends below 0 '}
      <SwitchPart label="Below 0" value={below.value} words={BELOW_0} onChange={below.edit} />.
    </>
  );
}

const PAGES: Readonly<Record<Pages, string>> = {
  each: 'one question per page',
  breaks: 'pages that begin where you set them',
  one: 'all questions on one page',
};

/** How the questions are parted into pages. */
function PagesPart() {
  const pages = useContentField('pages', 'Change the pages');
  return (
    <>
      {'Students see '}
      <ChoicePart label="Pages" value={pages.value} words={PAGES} onChange={pages.edit} />.
    </>
  );
}

/** What holds for all questions, as a sentence. */
function QuizSentence() {
  const topic = useContentField('topic', 'Change the topic');
  const points = useContentField('defaultPoints', 'Change the points of a question');
  const must = useContentField('mustAnswer', 'Change whether questions must be answered');
  return (
    <p className="leading-loose">
      Unless you change it below, a question is worth{' '}
      <DecimalField
        className="sentence-part text-center"
        label="Points of a question"
        value={points.value}
        most={1000}
        onChange={points.edit}
      />{' '}
      {pointWord(points.value)} and{' '}
      <select
        className="sentence-part"
        aria-label="Must questions be answered"
        value={must.value}
        onChange={(event) => must.edit(event.target.value as MustAnswer)}
      >
        {Object.entries(MUST_WORDS).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      . <CostPart /> <OrderPart /> <PagesPart /> <ReadingPart />. Topic:{' '}
      <input
        className="sentence-part"
        aria-label="Topic"
        placeholder="none yet"
        size={Math.max(8, topic.value.length)}
        maxLength={200}
        value={topic.value}
        onChange={(event) => topic.edit(event.target.value)}
      />
    </p>
  );
}

/** The rules of the quiz: at rest a quiet line of what holds, unfolded as sentences in which each can be changed. */
export function QuizRules() {
  const [open, setOpen] = useUnfolded('rules of the quiz');
  const paper = usePaper();
  return (
    <div className="mt-2">
      <QuietLine
        rules={quizRules(paper.content, pointsOfPaper(paper))}
        press="Rules"
        open={open}
        onOpen={setOpen}
      />
      {open && (
        <div className="mt-1 border-l-2 border-line pl-4">
          <QuizSentence />
          <ScoreSentence />
        </div>
      )}
    </div>
  );
}
