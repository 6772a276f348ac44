import { equal, ONE } from '../../figures/fraction';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import type { RowsQuestion } from './schema';

/** What was picked in a row is keyed there: with a credit where one is picked, as right or wrong where several are. */
export function acceptPart(
  question: RowsQuestion,
  { part, given }: GivenPart,
  { credit }: Accepted,
): Keyed<RowsQuestion> {
  const row = question.rows.find(({ id }) => id === part);
  if (!row?.options.some(({ id }) => id === given))
    return notKeyed('This option is not in the draft any more');
  if (row.several && credit.n !== 0 && !equal(credit, ONE))
    return notKeyed('Where several are picked an option is right or wrong');
  const options = row.options.map((option) =>
    option.id === given ? { ...option, credit, right: credit.n > 0 } : option,
  );
  return keyed({ ...question, rows: question.rows.map((one) => (one === row ? { ...row, options } : one)) });
}
