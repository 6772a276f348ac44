import { plural } from '@/core/figures/plural';
import type { UnreadText } from '@/core/reveal/silence';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import type { PlanView } from '@/workers/classDesk';

const TEXTS: Readonly<Record<UnreadText, string>> = {
  feedbackForRight: 'feedback for right answers',
  explanations: 'explanations',
  ifMissed: 'what is said of right things that were missed',
  bands: 'what is said of the whole score',
};
/** So many questions are named by their numbers. */
const MOST_NAMED = 8;
const list = new Intl.ListFormat('en');

/** What is not written for some questions, or for any: “feedback: none is written for questions 2 and 5”. */
function unwrittenWords(what: string, without: readonly number[], of: number): string[] {
  if (without.length === 0 || of === 0) return [];
  if (without.length === of) return [`${what}: no question has any`];
  const named = without.slice(0, MOST_NAMED).map(String);
  const more = without.length - named.length;
  const numbers = list.format(more > 0 ? [...named, `${more} more`] : named);
  return [`${what}: none is written for ${plural(without.length, 'question')} ${numbers}`];
}

interface PartProps {
  readonly title: string;
  readonly lines: readonly string[];
}

function Part({ title, lines }: PartProps) {
  if (lines.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="text-[15px]">{title}</h2>
      <ul className="mt-1">
        {lines.map((line) => (
          <li key={line} className="border-b border-line py-1">
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What nobody will ever see under the plan, and what waits for nothing but the closing. */
export function Silence({ view }: { readonly view: PlanView }) {
  const { silence, unwritten, torn } = view;
  const texts = silence.texts.filter(
    (text) => !(text === 'explanations' && silence.never.includes('rightAnswers')),
  );
  return (
    <>
      <Part
        title="Nobody will ever see"
        lines={[
          ...silence.never.map((aspect) => ASPECT_NAMES[aspect]),
          ...texts.map((text) => TEXTS[text]),
          ...unwrittenWords('feedback', unwritten.feedback, unwritten.of),
          ...unwrittenWords('explanations', unwritten.explanations, unwritten.of),
        ]}
      />
      <Part
        title="Waits until you close the quiz"
        lines={silence.waitForClose.map((aspect) => ASPECT_NAMES[aspect])}
      />
      <Part
        title="In two groups that differ"
        lines={torn.map((name) => `${name}: the more generous times count, and the stricter plan`)}
      />
    </>
  );
}
