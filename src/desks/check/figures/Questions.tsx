import { Fragment, useState } from 'react';
import { useQuiz } from '@/ui/teacher/quizContext';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { Failed } from '@/ui/widgets/press/Failed';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { coefficient, NONE, shareFigure } from '@/ui/words/statistics';
import type { CheckTable, FiguresOf } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';
import { Change } from './Change';
import { Definition, Term } from './Defined';

type Figures = FiguresOf['now'];
type OfQuestion = Figures['questions'][number];

const thirdsWords = (thirds: OfQuestion['thirds']): string =>
  thirds ? [thirds.upper, thirds.middle, thirds.lower].map(coefficient).join(' · ') : NONE;

interface AnswersProps {
  readonly questionId: string;
  readonly whose: string;
  readonly table: CheckTable;
}

/** So many answers are listed; the rest is told by its number. */
const MOST = 12;

/** Every answer to a question, and who of the class gave it. */
function Answers({ questionId, whose, table }: AnswersProps) {
  const { quiz } = useQuiz();
  const { value, failure, again } = useQuery(
    () => classWorker().answersInThirds(quiz.id, questionId, whose),
    [quiz.id, questionId, whose, table],
  );
  if (failure) return <Failed text={readingFailed(failure)} onAgain={again} />;
  if (!value) return <p className="caption py-1">…</p>;
  const rest = value.length - MOST;
  return (
    <table className="w-full text-[14px]">
      <thead>
        <tr className="caption text-left">
          <th className="py-1 font-normal">Answer</th>
          <th className="py-1 text-right font-normal">Share of the papers</th>
          <th className="py-1 text-right font-normal">of the strongest · middle · weakest third</th>
        </tr>
      </thead>
      <tbody>
        {value.slice(0, MOST).map(({ text, verdict, credit, share, thirds }) => (
          <tr key={`${text} ${verdict}`} className="border-t border-hair">
            <td className="flex items-center gap-2 py-1 break-words">
              <CreditPie
                credit={{ n: Math.round(credit * 100), d: 100 }}
                verdict={verdict}
                overridden={false}
              />
              {text || <span className="text-soft">no answer</span>}
            </td>
            <td className="figures py-1 text-right">{shareFigure(share)}</td>
            <td className="figures py-1 text-right">
              {thirds ? [thirds.upper, thirds.middle, thirds.lower].map(shareFigure).join(' · ') : NONE}
            </td>
          </tr>
        ))}
      </tbody>
      {rest > 0 && (
        <tfoot>
          <tr>
            <td colSpan={3} className="caption py-1">
              and {rest} more
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

interface Props {
  readonly figures: FiguresOf;
  readonly beside: FiguresOf | null;
  readonly table: CheckTable;
  /** Only of this topic; empty for all. */
  readonly topic: string;
}

/** Each question that has figures: alone, against the whole, and answer by answer where it is opened. */
export function Questions({ figures, beside, table, topic }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const { now, after, whose } = figures;
  const of = (all: Figures | null | undefined, id: string) =>
    all?.questions.find(({ questionId }) => questionId === id) ?? null;
  const inTopic = new Set(now.topics.find((one) => one.topic === topic)?.questionIds);
  const shown = table.questions.filter(({ id }) => of(now, id) !== null && (topic === '' || inTopic.has(id)));
  const cell = (
    id: string,
    read: (one: OfQuestion) => number | null,
    isWarned: (value: number | null) => boolean = () => false,
  ) => {
    const [mine, then, other] = [of(now, id), of(after, id), of(beside?.now, id)];
    if (!mine) return null;
    const value = read(mine);
    return (
      <td
        className={`figures py-2 pr-4 text-right whitespace-nowrap ${isWarned(value) ? 'font-semibold text-saffron-text' : ''}`}
      >
        <Change now={coefficient(value)} after={then && coefficient(read(then))} />
        {beside && <span className="block text-soft">{other ? coefficient(read(other)) : NONE}</span>}
      </td>
    );
  };
  const isBelow = (value: number | null) => value !== null && value < 0;
  return (
    <section aria-label="Questions" className="mt-6">
      <div className="px-6 max-sm:px-4">
        <Definition place="questions" />
      </div>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[620px] text-[15px]">
          <thead>
            <tr className="label-small border-b border-line text-right align-bottom">
              <th className="py-1.5 pl-6 text-left font-semibold max-sm:pl-4">Question</th>
              <th className="py-1.5 pr-4 font-semibold">
                <Term what="facility" place="questions">
                  Facility
                </Term>
              </th>
              <th className="py-1.5 pr-4 font-semibold">
                <Term what="discrimination" place="questions">
                  Discrimination
                </Term>
              </th>
              <th className="py-1.5 pr-4 font-semibold">
                <Term what="itemRest" place="questions">
                  Item-rest
                </Term>
              </th>
              <th className="py-1.5 pr-6 font-semibold max-sm:pr-4">
                <Term what="thirds" place="questions">
                  Strongest · middle · weakest third
                </Term>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ id, number, title }) => {
              const mine = of(now, id);
              return (
                <Fragment key={id}>
                  <tr className="border-b border-hair align-top">
                    <th scope="row" className="py-2 pr-4 pl-6 text-left font-normal max-sm:pl-4">
                      <button
                        type="button"
                        className="cursor-pointer text-left hover:underline"
                        aria-expanded={open === id}
                        onClick={() => setOpen(open === id ? null : id)}
                      >
                        <span className="figures mr-1 font-semibold">{number}</span> {title}
                      </button>
                      <span className="caption block">
                        {[
                          mine?.standing === 'bonus' ? 'bonus' : '',
                          mine && mine.marked < mine.papers ? `${mine.marked} of ${mine.papers} marked` : '',
                        ]
                          .filter(Boolean)
                          .join(', ')}
                      </span>
                    </th>
                    {cell(id, (one) => one.facility)}
                    {cell(id, (one) => one.discrimination, isBelow)}
                    {cell(id, (one) => one.itemRest, isBelow)}
                    <td className="figures py-2 pr-6 text-right whitespace-nowrap text-soft max-sm:pr-4">
                      {thirdsWords(mine?.thirds ?? null)}
                      {beside && (
                        <span className="block">{thirdsWords(of(beside.now, id)?.thirds ?? null)}</span>
                      )}
                    </td>
                  </tr>
                  {open === id && (
                    <tr>
                      <td colSpan={5} className="border-b border-line bg-base-200 px-10 py-2 max-sm:px-4">
                        <Answers questionId={id} whose={whose} table={table} />
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
