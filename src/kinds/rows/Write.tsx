import { X } from '@/ui/widgets/icons';
import { useState, type ReactNode } from 'react';
import { useHandRow, type HandRow } from '../shared/handRow';
import { creditOf, Disc, Said } from '../shared/KeyLine';
import { MoveTools, RowTools, Tool } from '../shared/RowTools';
import {
  commonOptions,
  newOption,
  newRow,
  withCommonOption,
  withOneMore,
  withoutOption,
  withPressed,
  type RowOption,
} from '@/core/kinds/rows/edit';
import { isRight } from '@/core/kinds/rows/mark';
import type { Row, RowsQuestion } from '@/core/kinds/rows/schema';
import type { Fraction } from '@/core/figures/fraction';
import { newId } from '@/device/ids';
import { Words } from '@/ui/widgets/paper/Formula';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import type { Faces } from '../faces';
import { Another } from '../shared/Another';
import { NewEntry } from '../shared/NewEntry';
import { RemoveChip } from '../shared/RemoveChip';
import { useRows, type Rows } from '../shared/useRows';

interface Editing {
  readonly question: RowsQuestion;
  readonly onChange: (question: RowsQuestion) => void;
}

const rowName = (row: Row, at: number): string => row.text.trim() || `row ${at + 1}`;

/** What an option's disc shows: its own credit where one is picked or weights are, else right or not. */
const shownCredit = (question: RowsQuestion, row: Row, option: RowOption): Fraction =>
  row.several && question.model !== 'ownWeights' ? creditOf(option.right) : option.credit;

interface CellProps extends Editing {
  readonly row: Row;
  readonly option: RowOption;
  readonly name: string;
  /** Whether credits other than right and wrong are typed. */
  readonly fine: boolean;
}

/** An option of a row, pressed right or wrong in place; its credit, where it has one of its own. */
function OptionCell({ question, row, option, name, fine, onChange }: CellProps) {
  const about = `${option.text || 'empty option'} for ${name}`;
  const put = (credit: Fraction) =>
    onChange({
      ...question,
      rows: question.rows.map((one) =>
        one.id === row.id
          ? { ...row, options: row.options.map((own) => (own.id === option.id ? { ...own, credit } : own)) }
          : one,
      ),
    });
  return (
    <span className="inline-flex items-center">
      <Disc
        credit={shownCredit(question, row, option)}
        name={about}
        onToggle={() => onChange(withPressed(question, row, option))}
      />
      {fine && (!row.several || question.model === 'ownWeights') && (
        <PercentField
          value={option.credit}
          label={`Points for ${about}`}
          className="plain-field !w-10 text-[13.5px]"
          onChange={put}
        />
      )}
    </span>
  );
}

interface RowProps extends Editing {
  readonly row: Row;
  readonly at: number;
  readonly rows: Rows<Row>;
  readonly fine: boolean;
}

/** The words of a row. */
const RowField = ({ row, at, rows }: Pick<RowProps, 'row' | 'at' | 'rows'>) => (
  <input
    className="plain-field"
    data-row
    aria-label={`Row ${at + 1}`}
    placeholder={`Row ${at + 1}`}
    maxLength={2000}
    value={row.text}
    onChange={(event) => rows.replace({ ...row, text: event.target.value })}
    onKeyDown={rows.keys(row)}
    onPaste={rows.paste(row)}
  />
);

/** What is said of a row, and what it can do while it is in hand. */
function RowFeedback({ row, at, rows, hand }: Pick<RowProps, 'row' | 'at' | 'rows'> & { hand: HandRow }) {
  const name = rowName(row, at);
  return (
    <Said
      row={hand}
      name={name}
      feedback={row.feedback}
      placeholder="Feedback on this row"
      onFeedback={(feedback) => rows.replace({ ...row, feedback })}
      tools={<MoveTools name={name} onMove={(by) => rows.moveBy(row, by)} />}
      onRemove={() => rows.remove(row)}
    />
  );
}

interface TableProps extends Editing {
  readonly options: readonly string[];
  readonly rows: Rows<Row>;
  readonly fine: boolean;
}

/** The options that every row has, above the table. */
const OptionHeads = ({
  question,
  options,
  onChange,
}: Pick<TableProps, 'question' | 'options' | 'onChange'>) =>
  options.map((text, at) => (
    <th key={at} scope="col" className="near px-1 text-left font-normal">
      <span className="flex items-center">
        <textarea
          className="plain-field min-w-16 resize-none text-[14px] font-semibold field-sizing-content"
          rows={1}
          aria-label={`Option ${at + 1} of every row`}
          placeholder={`option ${at + 1}`}
          maxLength={2000}
          value={text}
          onChange={(event) =>
            onChange(withCommonOption(question, at, event.target.value.replace(/\n/g, ' ')))
          }
        />
        {options.length > 2 && (
          <button
            type="button"
            className="icon-button when-near"
            aria-label={`Delete option ${at + 1} of every row`}
            onClick={() => onChange(withoutOption(question, at))}
          >
            <X size={13} aria-hidden />
          </button>
        )}
      </span>
    </th>
  ));

/** One row of the table: its words, and an option's disc in each column. */
function TableRow({
  question,
  row,
  at,
  rows,
  fine,
  onChange,
  narrow,
}: RowProps & { readonly narrow: boolean }) {
  const parts = { row, at, rows };
  const hand = useHandRow();
  const words = (
    <>
      <RowField {...parts} />
      <RowFeedback {...parts} hand={hand} />
    </>
  );
  const cells = row.options.map((option) => (
    <td key={option.id} className="px-1 py-1.5">
      <OptionCell
        question={question}
        row={row}
        option={option}
        name={rowName(row, at)}
        fine={fine}
        onChange={onChange}
      />
    </td>
  ));
  const line = (first: ReactNode) => (
    <tr className="border-b border-dotted border-line align-top" {...hand.taking}>
      {first}
      {cells}
    </tr>
  );
  if (!narrow) return line(<td className="py-1.5 pr-2">{words}</td>);
  // On a phone the words have a line of their own, above what is pressed.
  return (
    <>
      <tr {...hand.taking}>
        <td className="pt-1.5" colSpan={row.options.length + 1}>
          {words}
        </td>
      </tr>
      {line(<td />)}
    </>
  );
}

/** Rows that all offer the same: the options once, above a table in which the right ones are pressed. */
function SameOptions({
  question,
  options,
  rows,
  fine,
  tools,
  onChange,
}: TableProps & { readonly tools: ReactNode }) {
  const narrow = useNarrow('phone');
  const hand = useHandRow();
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-line align-bottom" {...hand.taking}>
            <td className={narrow ? 'w-2' : 'w-1/2'} />
            <OptionHeads question={question} options={options} onChange={onChange} />
          </tr>
          {(hand.inHand || hand.keepsRoom) && (
            <tr {...hand.taking}>
              <td colSpan={options.length + 1}>
                <RowTools row={hand} name="the options of every row">
                  {tools}
                </RowTools>
              </td>
            </tr>
          )}
        </thead>
        <tbody ref={rows.list as never}>
          {question.rows.map((row, at) => (
            <TableRow
              key={row.id}
              question={question}
              row={row}
              at={at}
              rows={rows}
              fine={fine}
              narrow={narrow}
              onChange={onChange}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A row with its words; below them its own options, and what is said of it. */
function OwnRow({
  row,
  at,
  rows,
  children,
}: Pick<RowProps, 'row' | 'at' | 'rows'> & { readonly children: ReactNode }) {
  const hand = useHandRow();
  return (
    <li className="border-b border-dotted border-line py-1.5" {...hand.taking}>
      <RowField row={row} at={at} rows={rows} />
      {children}
      <RowFeedback row={row} at={at} rows={rows} hand={hand} />
    </li>
  );
}

/** Rows with options of their own: each row's stand below its words. */
function OwnOptions({ question, rows, fine, onChange }: Omit<TableProps, 'options'>) {
  const put = (row: Row, options: RowOption[]) => rows.replace({ ...row, options });
  return (
    <ul ref={rows.list}>
      {question.rows.map((row, at) => (
        <OwnRow key={row.id} row={row} at={at} rows={rows}>
          <div className="mt-1 flex flex-wrap items-center gap-2 pl-3">
            {row.options.map((option, index) => (
              <span key={option.id} className="inline-flex items-center">
                <OptionCell
                  question={question}
                  row={row}
                  option={option}
                  name={rowName(row, at)}
                  fine={fine}
                  onChange={onChange}
                />
                <span className="chip">
                  <input
                    aria-label={`Option ${index + 1} of ${rowName(row, at)}`}
                    maxLength={2000}
                    size={Math.max(3, option.text.length)}
                    value={option.text}
                    onChange={(event) =>
                      put(
                        row,
                        row.options.map((one) =>
                          one.id === option.id ? { ...one, text: event.target.value } : one,
                        ),
                      )
                    }
                  />
                  <RemoveChip
                    label={`Delete option ${index + 1} of ${rowName(row, at)}`}
                    onPress={() =>
                      put(
                        row,
                        row.options.filter(({ id }) => id !== option.id),
                      )
                    }
                  />
                </span>
              </span>
            ))}
            <NewEntry
              most={2000}
              label={`Another option of ${rowName(row, at)}`}
              placeholder="another option"
              onAdd={(text) => put(row, [...row.options, newOption(newId(), text)])}
            />
          </div>
        </OwnRow>
      ))}
    </ul>
  );
}

export const Write: Faces<RowsQuestion>['Write'] = ({ question, onChange }) => {
  const [own, setOwn] = useState(false);
  const [fine, setFine] = useState(() =>
    question.rows.some((row) => row.options.some(({ credit }) => credit.n !== 0 && credit.n !== credit.d)),
  );
  const rows = useRows<Row>({
    rows: question.rows,
    onRows: (next) => onChange({ ...question, rows: next }),
    blank: (text = '') => newRow(question, text, newId),
    isEmpty: ({ text }) => text.trim() === '',
    fill: (row, text) => ({ ...row, text }),
    most: 60,
  });
  const common = commonOptions(question);
  const same = common !== null && !own;
  const tools = (
    <>
      {same && (
        <Another
          quiet
          onPress={() => onChange(withOneMore(question, '', newId))}
          to='textarea[aria-label$=" of every row"]'
        >
          Another option
        </Another>
      )}
      {common && (
        <Tool
          words={own ? 'The same options for every row' : 'Other options for each row'}
          to=""
          onPress={() => setOwn(!own)}
        />
      )}
      <Tool words={fine ? 'Hide the points' : 'Part of the points'} to="" onPress={() => setFine(!fine)} />
    </>
  );
  return (
    <div>
      <p className="label-small mt-3">Rows, with the options of each (press the circle of each right one)</p>
      {common && same ? (
        <SameOptions
          question={question}
          options={common}
          rows={rows}
          fine={fine}
          tools={tools}
          onChange={onChange}
        />
      ) : (
        <>
          <OwnOptions question={question} rows={rows} fine={fine} onChange={onChange} />
          <div className="row-tools mt-1">{tools}</div>
        </>
      )}
      <div className="flex flex-wrap gap-x-5">
        <Another onPress={() => rows.add()}>Another row</Another>
      </div>
    </div>
  );
};

/** Each row with what is right in it. */
export const Folded: Faces<RowsQuestion>['Folded'] = ({ question }) => (
  <ul className="mt-1.5 space-y-1">
    {question.rows
      .filter(({ text }) => text.trim() !== '')
      .map((row) => {
        const right = row.options.filter((option) => isRight(question, row, option));
        return (
          <li key={row.id}>
            <Words text={row.text} /> <span className="text-soft">—</span>{' '}
            {right.length === 0 ? (
              <span className="text-saffron-text">no key yet</span>
            ) : (
              right.map((option, at) => (
                <span key={option.id} className="font-semibold">
                  {at > 0 && ', '}
                  <CreditPie credit={shownCredit(question, row, option)} size={11} label="" />{' '}
                  <Words text={option.text} />
                </span>
              ))
            )}
          </li>
        );
      })}
  </ul>
);
