import type { GapsQuestion, Idea } from '@/core/kinds/gaps/schema';
import { ONE } from '@/core/figures/fraction';
import { newVariant } from '@/core/kinds/shared/textKey/newVariant';
import type { MarkingContext } from '@/core/marks/mark';
import { newId } from '@/device/ids';
import { NewEntry } from '../shared/NewEntry';
import { Tool } from '../shared/RowTools';
import { SpellingPart } from '../shared/textKey/SpellingPart';
import { VariantList } from '../shared/textKey/VariantList';

interface Props {
  readonly question: GapsQuestion;
  readonly context: MarkingContext;
  readonly onChange: (question: GapsQuestion) => void;
}

/** The ideas that gaps share: each counts once, in whichever gap it stands. */
export function Ideas({ question, context: { language }, onChange }: Props) {
  const { ideas, settings } = question;
  const asked = question.gaps.filter(({ type }) => type === 'pool').length;
  const put = (next: Idea[]) => onChange({ ...question, ideas: next });
  return (
    <div className="mt-4">
      <p className="label-small">
        Ideas, of which {asked} {asked === 1 ? 'is' : 'are'} asked for; each counts once, in any of the gaps
      </p>
      <ol className="list-none">
        {ideas.map((idea, at) => (
          <li key={idea.id} className="mt-2 border-l-2 border-line pl-4">
            <div className="flex items-baseline justify-between gap-2">
              <span className="font-semibold">
                {idea.variants.find(({ credit }) => credit.n > 0)?.forms[0] ?? `Idea ${at + 1}`}
              </span>
              <Tool
                words="Delete"
                to={`idea ${at + 1}`}
                onPress={() => put(ideas.filter(({ id }) => id !== idea.id))}
              />
            </div>
            <VariantList
              side="right"
              about={`idea ${at + 1}`}
              textKey={{ settings, variants: idea.variants }}
              language={language}
              onChange={(variants) =>
                put(ideas.map((one) => (one.id === idea.id ? { ...idea, variants } : one)))
              }
            />
          </li>
        ))}
      </ol>
      <div className="mt-2">
        <NewEntry
          most={500}
          label="Another idea"
          placeholder="another idea"
          onAdd={(form) => put([...ideas, { id: newId(), variants: [newVariant(newId(), form, ONE)] }])}
        />
      </div>
      <p className="mt-2 leading-loose">
        {'In the ideas: '}
        <SpellingPart
          settings={settings}
          language={language}
          onChange={(next) => onChange({ ...question, settings: next })}
        />
      </p>
    </div>
  );
}
