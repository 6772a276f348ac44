import type { OtherWay, StepName } from '@/core/checking/compared';
import type { CountedSign } from '@/core/answers/text/signs/countingSigns';
import { signWords } from '@/core/answers/text/signs/signWords';
import { Trace } from '@/ui/widgets/paper/Trace';
import type { Compared } from '@/views/compared';
import { Outcome } from './Outcome';

const STEPS: Readonly<Record<StepName, string>> = {
  typed: 'As typed',
  oneForm: 'Spaces, dashes and quotes in one form',
  capitals: 'Without capitals',
  articles: 'Without a leading article',
  punctuation: 'Without punctuation that does not count',
  accents: 'Without accents',
};

const WAYS: Readonly<Record<OtherWay, string>> = {
  spellingCounts: 'Spelling counts',
  smallErrorsPass: 'Small errors pass',
  onlyTheSense: 'Only the meaning counts',
  everySignCounts: 'Every sign counts',
  capitalsCount: 'Capitals count',
  phrase: 'Anywhere in the answer',
  allWords: 'All its words, in any order',
};

/** Both texts, step by step. */
function Steps({ steps }: Pick<Compared, 'steps'>) {
  return (
    <table className="mt-2 w-full table-fixed text-[14px]">
      <caption className="sr-only">Step by step</caption>
      <thead>
        <tr className="label-small text-left">
          <th className="w-[34%] pb-1 font-semibold">Step</th>
          <th className="pb-1 font-semibold">Right answer</th>
          <th className="pb-1 font-semibold">Answer</th>
        </tr>
      </thead>
      <tbody>
        {steps.map(({ step, right, answer }) => (
          <tr key={step} className="border-t border-line align-baseline">
            <th scope="row" className="py-1.5 pr-3 text-left font-normal text-soft">
              {STEPS[step]}
            </th>
            {[right, answer].map((text, at) => (
              <td key={at} className="py-1.5 pr-2 font-semibold wrap-anywhere whitespace-pre-wrap">
                <bdi>{text}</bdi>
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The signs that count, and as what. */
const Signs = ({ title, signs }: { readonly title: string; readonly signs: readonly CountedSign[] }) =>
  signs.length > 0 && (
    <p className="mt-1.5 text-[14px]">
      <span className="label-small">{title} </span>
      {signs.map(({ sign, as }, at) => (
        <span key={`${sign} ${as}`}>
          {at > 0 && '; '}
          <strong>{sign}</strong> {signWords(as)}
        </span>
      ))}
    </p>
  );

/** How an answer was compared, with what result, and what other settings would make of it. */
export function Result({ compared }: { readonly compared: Compared }) {
  const { steps, signs, trial, others } = compared;
  return (
    <>
      <div className="mt-4 border-y border-line py-3 text-[16px]" role="status">
        <Outcome outcome={trial} />
      </div>
      {steps.length > 0 && (
        <section aria-labelledby="comparing-steps">
          <h2 id="comparing-steps" className="mt-5 text-[16px]">
            Step by step
          </h2>
          <Steps steps={steps} />
          <Signs title="Signs that count in the right answer:" signs={signs.right} />
          <Signs title="Signs that count in the answer:" signs={signs.answer} />
        </section>
      )}
      <section aria-labelledby="comparing-why">
        <h2 id="comparing-why" className="mt-5 mb-1 text-[16px]">
          Why
        </h2>
        <Trace lines={trial.trace} />
      </section>
      {others.length > 0 && (
        <section aria-labelledby="comparing-others">
          <h2 id="comparing-others" className="mt-5 text-[16px]">
            By other settings
          </h2>
          <dl className="mt-1 grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] text-[14px]">
            {others.map(([way, outcome]) => (
              <div key={way} className="col-span-2 grid grid-cols-subgrid border-t border-line py-1.5">
                <dt className="pr-3 text-soft">{WAYS[way]}</dt>
                <dd>
                  <Outcome outcome={outcome} />
                </dd>
              </div>
            ))}
          </dl>
        </section>
      )}
    </>
  );
}
