import type { Question } from '@/core/kinds';
import { NewEntry } from '@/kinds/shared/NewEntry';
import { RemoveChip } from '@/kinds/shared/RemoveChip';

interface Props {
  readonly question: Question;
  readonly onChange: (question: Question) => void;
}

/** What the teacher alone calls the question, and what it is about: never shown to students. */
export function OwnWords({ question, onChange }: Props) {
  const { name, topics } = question;
  const put = (next: string[]) => onChange({ ...question, topics: next });
  return (
    <div className="mt-4 flex flex-wrap items-center gap-x-2 gap-y-1.5 border-t border-hair pt-3 text-[14px]">
      <span className="label-small">For you alone:</span>
      <input
        className="sentence-part"
        aria-label="Short name, for you alone"
        placeholder="a short name"
        title="What lists and files call the question; students never see it"
        maxLength={60}
        size={Math.max(12, name.length)}
        value={name}
        onChange={(event) => onChange({ ...question, name: event.target.value })}
      />
      <span className="text-soft">Topics</span>
      {topics.map((topic) => (
        <span key={topic} className="chip !font-normal">
          {topic}
          <RemoveChip
            label={`Remove the topic ${topic}`}
            onPress={() => put(topics.filter((one) => one !== topic))}
          />
        </span>
      ))}
      {topics.length < 20 && (
        <NewEntry
          most={60}
          label="Another topic"
          placeholder="a topic"
          onAdd={(topic) => put([...new Set([...topics, topic])])}
        />
      )}
    </div>
  );
}
