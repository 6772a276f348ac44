import { plural } from '@/core/figures/plural';
import { bestPossible, worstPossible } from '@/core/scoring/possible';
import { numbersOf } from '@/core/quiz/numbers';
import { equal } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { points, pointsWord } from '@/ui/words/figures';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';

/** The best possible paper, marked before anyone sits it, and what it misses. */
export function WholePaper() {
  const { quiz } = useQuiz();
  const paper = usePaper();
  const { best, outOf, missing, byHand } = bestPossible(paper);
  const worst = worstPossible(paper);
  const scaledTo = paper.content.scoring.outOf;
  const all = numbersOf(paper.questions);
  const numbers = missing.map((id) => all.get(id));
  const share = outOf.n === 0 ? { n: 0, d: 1 } : { n: best.n * outOf.d, d: best.d * outOf.n };
  return (
    <section aria-labelledby="whole-paper" className="max-lg:border-b max-lg:border-line max-lg:pb-3">
      <h2 id="whole-paper" className="text-[15px]">
        Whole quiz
      </h2>
      <div className="mt-1.5 flex items-baseline gap-2.5">
        <CreditPie credit={share} label="" />
        <span className="flex-1">Best possible score</span>
        <span className="figures font-semibold">
          {points(best)} of {points(outOf)}
        </span>
      </div>
      <div className="mt-1 flex items-baseline gap-2.5">
        <CreditPie credit={{ n: Math.min(0, worst.n), d: worst.d }} label="" />
        <span className="flex-1">Worst possible score</span>
        <span className="figures font-semibold">
          {points(worst)} of {points(outOf)}
        </span>
      </div>
      {byHand.n > 0 && (
        <p className="caption pl-[27px]">
          {pointsWord(byHand)} of the best {plural(byHand.n / byHand.d, 'comes', 'come')} from answers that
          you mark yourself.
        </p>
      )}
      {scaledTo && <p className="caption pl-[27px]">Scores are given out of {points(scaledTo)}.</p>}
      {!equal(best, outOf) && (
        <p className="mt-1 pl-[27px] text-[13.5px] text-saffron-text">
          Full marks cannot be reached: {plural(numbers.length, 'question')} {numbers.join(', ')}{' '}
          {plural(numbers.length, 'has', 'have')} no fully right answer yet.
        </p>
      )}
      {paper.questions.length > 0 && (
        <p className="mt-2">
          <a className="link-text" href={`/try/?quiz=${quiz.id}`} target="_blank" rel="noopener">
            Try it as a student
          </a>{' '}
          <span className="caption">nothing is saved</span>
        </p>
      )}
    </section>
  );
}
