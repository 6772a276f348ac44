import { Fragment, useState } from 'react';
import type { MustAnswer } from '@/core/quiz/placement';
import { NEW_TITLE } from '@/store/quiz/quizzes';
import { DecimalField } from '@/ui/widgets/fields/DecimalField';
import { LANGUAGES } from '@/ui/words/languages';
import { MUST_WORDS } from '@/ui/words/mustWords';
import { pointWord } from '@/ui/words/figures';
import { land } from '@/ui/editing/heldKeys';
import { Conflict } from '@/ui/editing/Conflict';
import RichTextEditor from '@/ui/editing/RichTextEditor';
import { useContentField } from '@/ui/teacher/useContentField';
import { ChoicePart, SwitchPart } from '@/kinds/shared/parts/ChoicePart';
import type { Pages } from '@/core/quiz/quiz';
import { PenaltyPart } from './rules/PenaltyPart';
import { BELOW_0 } from './rules/QuestionRules';
import { Bands } from './rules/Bands';
import { ScoreSentence } from './rules/ScoreSentence';
import { useQuiz } from '@/ui/teacher/quizContext';

/** Selects the title of a new quiz, so that typing gives it its own, and gives it what was typed on the way here: once, when the field comes. */
function select(field: HTMLInputElement | null): void {
  field?.select();
  if (field) land(field);
}

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
            <option value="false">as they stand here</option>
            <option value="true">in each student’s own order</option>
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
  const below = useContentField('negativeCredit', 'Change what becomes of a credit below 0');
  return (
    <>
      {'An answer with nothing right costs '}
      <PenaltyPart
        value={penalty.value}
        quiz={null}
        guessable
        onChange={(next) => next && penalty.edit(next)}
      />
      {', and a credit below 0 '}
      <SwitchPart label="Credits below 0" value={below.value} words={BELOW_0} onChange={below.edit} />.
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
    <p className="mt-2 leading-loose">
      A question is worth{' '}
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
      </select>{' '}
      unless it says otherwise. <CostPart /> <OrderPart /> <PagesPart /> <ReadingPart />. Topic:{' '}
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

/** Title, instructions, and what holds for the whole quiz. */
export function Heading() {
  const title = useContentField('title', 'Change the title');
  const instructions = useContentField('instructions', 'Change the instructions');
  const { quiz, questions } = useQuiz();
  const [isNew] = useState(() => quiz.content.title === NEW_TITLE && questions.length === 0);
  return (
    <div className="border-b border-line px-9 pt-7 pb-4 max-sm:px-4 max-sm:pt-4">
      <h1>
        <input
          className="plain-field font-title text-[26px] font-semibold max-sm:text-[21px]"
          aria-label="Title of the quiz"
          placeholder="Title of the quiz"
          maxLength={300}
          ref={isNew ? select : undefined}
          value={title.value}
          onChange={(event) => title.edit(event.target.value)}
        />
      </h1>
      <Conflict draft={title} show={(value) => value} what="The title" />
      <div className="mt-1">
        <RichTextEditor
          value={instructions.value}
          label="Instructions"
          placeholder="Instructions for the students"
          onChange={instructions.edit}
        />
      </div>
      <QuizSentence />
      <ScoreSentence />
      <Bands />
    </div>
  );
}
