import { Baseline } from '@/ui/widgets/icons';
import { lazy, Suspense, useState } from 'react';
import { proseOf, treeOf, type Prose } from '@/core/content/prose';
import { RichText } from '../widgets/paper/RichText';
import { holdKeys } from './heldKeys';

const RichTextEditor = lazy(() => import('./RichTextEditor'));

interface Props {
  readonly value: Prose;
  /** What the field is called. */
  readonly label: string;
  /** What the press is called that offers bold, lists, links and pictures. */
  readonly format: string;
  readonly placeholder?: string;
  /** How the plain field looks. */
  readonly className?: string;
  /** Whether it has just been asked for, and takes the focus. */
  readonly autoFocus?: boolean | undefined;
  readonly onChange: (value: Prose) => void;
}

/**
 * Words that may be formatted: typed in a plain field, until something is wanted that a plain field cannot hold. What is
 * formatted is written in the editor of the question's text, and is plain again once nothing in it is.
 */
export function ProseField(props: Props) {
  const { value, label, format, placeholder, className = 'plain-field', autoFocus = false, onChange } = props;
  // Kept open: what is plain for a moment keeps the editor that it is written in.
  const [open, setOpen] = useState(typeof value !== 'string');
  const [asked, setAsked] = useState(false);
  const formatted = open || typeof value !== 'string';
  if (formatted)
    return (
      <div className="prose-field min-w-0 flex-1">
        <Suspense fallback={<RichText text={treeOf(value)} />}>
          <RichTextEditor
            value={treeOf(value)}
            label={label}
            placeholder={placeholder ?? ''}
            autoFocus={asked || autoFocus}
            onChange={(tree) => onChange(proseOf(tree))}
          />
        </Suspense>
      </div>
    );
  return (
    <div className="flex min-w-0 flex-1 items-start gap-1">
      <textarea
        className={`${className} resize-none field-sizing-content`}
        rows={1}
        autoFocus={autoFocus}
        maxLength={5000}
        aria-label={label}
        placeholder={placeholder}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      <button
        type="button"
        className="icon-button prose-format"
        aria-label={format}
        title="Bold, lists, links, pictures"
        onClick={() => {
          // Until the editor has come the focus is kept for it, with what is typed meanwhile.
          holdKeys(label);
          setAsked(true);
          setOpen(true);
        }}
      >
        <Baseline size={15} aria-hidden />
      </button>
    </div>
  );
}
