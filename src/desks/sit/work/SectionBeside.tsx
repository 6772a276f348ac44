import { useState } from 'react';
import type { Section } from '@/core/quiz/section';
import { useText, useTold } from '@/ui/told/useTold';
import { ClipView } from '@/ui/widgets/paper/ClipView';
import { RichText } from '@/ui/widgets/paper/RichText';

/** What stands above several questions: its words, pictures, sounds and films. */
function Material({ section }: { readonly section: Section }) {
  return (
    <>
      {section.text.length > 0 && <RichText text={section.text} />}
      {section.clips.map((clip) => (
        <ClipView key={clip.hash} clip={clip} />
      ))}
    </>
  );
}

interface Props {
  readonly section: Section;
  /** Whether it is folded at first, on a phone. */
  readonly folded: boolean;
  readonly onFold: (folded: boolean) => void;
}

/** The material of a section, kept beside its questions: on a phone above them, where it stays and can be folded. */
export function SectionBeside({ section, folded, onFold }: Props) {
  const [id] = useState(() => `material-${section.id}`);
  const { work } = useTold();
  const text = useText();
  const name = section.heading || work.besides;
  const empty = section.text.length === 0 && section.clips.length === 0;
  return (
    <section
      aria-labelledby={id}
      data-open={!folded && !empty}
      className="section-beside border-b border-line bg-paper px-[18px] py-2 lg:border-r lg:border-b-0 lg:px-8 lg:py-5"
    >
      <div className="flex items-center gap-3">
        <h2 {...text} id={id} className="min-w-0 flex-1 text-[17px] wrap-anywhere">
          {name}
        </h2>
        {!empty && (
          <button
            type="button"
            className="link-text min-h-9 cursor-pointer text-[14px] lg:hidden"
            aria-expanded={!folded}
            onClick={() => onFold(!folded)}
          >
            {folded ? work.show : work.hide}
            <span className="sr-only"> {name}</span>
          </button>
        )}
      </div>
      <div
        // Long material slides in its own place, by keys too.
        tabIndex={0}
        role="group"
        aria-labelledby={id}
        className={`mt-1 overflow-y-auto max-lg:max-h-[30vh] lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] ${folded ? 'max-lg:hidden' : ''} ${empty ? 'hidden' : ''}`}
      >
        <Material section={section} />
      </div>
    </section>
  );
}
