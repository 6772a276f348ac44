import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Trash2, X } from '@/ui/widgets/icons';
import { use, useLayoutEffect, useRef, useState } from 'react';
import type { Clip } from '@/core/content/clip';
import type { Section } from '@/core/quiz/section';
import { ClipChooser } from '@/ui/editing/media/ClipChooser';
import { Conflict } from '@/ui/editing/Conflict';
import { FormulaInFields } from '@/ui/editing/formula/FormulaInFields';
import { land } from '@/ui/editing/heldKeys';
import RichTextEditor from '@/ui/editing/RichTextEditor';
import { ClipView } from '@/ui/widgets/paper/ClipView';
import { WithFormulas } from '@/ui/widgets/paper/Formula';
import { megabytes } from '@/ui/words/figures';
import { PaperNow, type QuestionActs } from './PaperNow';

interface ClipsProps {
  readonly clips: Clip[];
  readonly onChange: (clips: Clip[]) => void;
}

const MOST_CLIPS = 10;

/** A press that unfolds where a sound or film is chosen. */
function AddClip({ clips, onChange }: ClipsProps) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button
        type="button"
        className="mt-2 cursor-pointer text-[14px] font-semibold text-petrol hover:underline"
        onClick={() => setOpen(true)}
      >
        Add a sound or a video
      </button>
    );
  return (
    <div className="mt-2">
      <ClipChooser
        onTaken={(clip) => {
          if (!clips.some(({ hash }) => hash === clip.hash)) onChange([...clips, clip]);
          setOpen(false);
        }}
      />
      <button type="button" className="btn btn-ghost btn-sm mt-1" onClick={() => setOpen(false)}>
        Cancel
      </button>
    </div>
  );
}

function Clips({ clips, onChange }: ClipsProps) {
  const put = (at: number, patch: Partial<Clip>) =>
    onChange(clips.map((clip, index) => (index === at ? { ...clip, ...patch } : clip)));
  return (
    <>
      {clips.map((clip, at) => {
        const name = clip.title || `file ${at + 1}`;
        return (
          <div key={clip.hash} className="mt-2 border-t border-dotted border-line pt-2">
            <div className="flex items-start gap-2">
              <input
                className="plain-field font-semibold"
                aria-label={`Name of file ${at + 1}`}
                placeholder="What is it called?"
                maxLength={300}
                value={clip.title}
                onChange={(event) => put(at, { title: event.target.value })}
              />
              <span className="caption figures pt-1.5 whitespace-nowrap">{megabytes(clip.bytes)}</span>
              <button
                type="button"
                className="icon-button"
                aria-label={`Delete ${name}`}
                onClick={() => onChange(clips.filter((_, index) => index !== at))}
              >
                <X size={15} aria-hidden />
              </button>
            </div>
            <ClipView clip={{ ...clip, title: '', words: '' }} />
            <textarea
              className="plain-field resize-none field-sizing-content text-[14px]"
              rows={1}
              maxLength={10_000}
              aria-label={`What is said and shown in ${name}`}
              placeholder="What is said and shown, for those who cannot hear or see it"
              value={clip.words}
              onChange={(event) => put(at, { words: event.target.value })}
            />
          </div>
        );
      })}
      {clips.length < MOST_CLIPS && <AddClip clips={clips} onChange={onChange} />}
    </>
  );
}

interface BodyProps {
  readonly section: Section;
  readonly isNew: boolean;
  readonly onChange: (section: Section) => void;
}

/** Heading, words and files of a section, all in place. */
function Body({ section, isNew, onChange }: BodyProps) {
  const heading = useRef<HTMLInputElement>(null);
  useLayoutEffect(() => {
    if (isNew && heading.current) land(heading.current);
  }, [isNew]);
  return (
    <FormulaInFields>
      <input
        className="plain-field font-title text-[19px] font-semibold"
        aria-label="Heading of the section"
        placeholder="Heading of the section"
        ref={heading}
        maxLength={300}
        value={section.heading}
        onChange={(event) => onChange({ ...section, heading: event.target.value })}
      />
      <RichTextEditor
        value={section.text}
        label="Text of the section"
        placeholder="What students read and see beside the next questions: instructions, a text, a picture"
        onChange={(text) => onChange({ ...section, text })}
      />
      <Clips clips={section.clips} onChange={(clips) => onChange({ ...section, clips })} />
    </FormulaInFields>
  );
}

interface Props {
  readonly id: string;
  /** Whether it was just added here. */
  readonly isNew: boolean;
  readonly acts: QuestionActs;
}

/** A section on the paper: what is kept beside the questions below it, until the next one. */
export function PaperSection({ id, isNew, acts }: Props) {
  const now = use(PaperNow);
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const section = now?.sections.value.find((one) => one.id === id);
  if (!now || !section) return null;
  const { sections, content } = now;
  const name = section.heading || 'without a heading';
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`paper-row beneath-head relative ${isDragging ? 'z-10 shadow-lg' : ''}`}
    >
      <section aria-label={`Section ${name}`} className="relative border-t-2 border-b border-line bg-paper">
        <div className="absolute top-4 -left-[72px] flex w-[62px] justify-end max-sm:static max-sm:w-auto max-sm:justify-start max-sm:px-4 max-sm:pt-3">
          <button
            type="button"
            className="icon-button !min-w-[24px] touch-none cursor-grab"
            {...attributes}
            {...listeners}
            aria-label={`Move the section ${name}`}
            title="Drag, or use the arrow keys"
            onKeyDown={(event) => {
              if (event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
              event.preventDefault();
              acts.moveBy(id, event.key === 'ArrowUp' ? -1 : 1);
            }}
          >
            <GripVertical size={14} aria-hidden />
          </button>
        </div>
        <div className="px-9 pt-3 pb-4 max-sm:px-4">
          <div className="flex items-start">
            <p className="label-small flex-1">Section · kept beside the questions below it</p>
            <button
              type="button"
              className="icon-button"
              aria-label={`Delete the section ${name}`}
              title="Delete the section; its questions stay"
              onClick={() => acts.remove(id)}
            >
              <Trash2 size={15} aria-hidden />
            </button>
          </div>
          <Conflict draft={sections} show={() => 'the sections as the other tab has them'} what="A section" />
          <WithFormulas formulas={content.formulas}>
            <Body
              section={section}
              isNew={isNew}
              onChange={(next) => sections.edit(sections.value.map((one) => (one.id === id ? next : one)))}
            />
          </WithFormulas>
        </div>
      </section>
      <div className="paper-margin max-lg:hidden" />
    </li>
  );
}
