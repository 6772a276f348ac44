import type { Question } from '@/core/kinds';
import { NewEntry } from '@/kinds/shared/NewEntry';
import { RemoveChip } from '@/kinds/shared/RemoveChip';

interface Props {
  readonly question: Question;
  readonly onChange: (question: Question) => void;
  /** Whether it has just been asked for, and takes the focus. */
  readonly asked: boolean;
}

/** What the question is about: for the teacher, never shown to students. */
export function Topics({ question, onChange, asked }: Props) {
  const { topics } = question;
  const put = (next: string[]) => onChange({ ...question, topics: next });
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-2 gap-y-1.5 text-[14px]">
      <span className="label-small w-24">Topics</span>
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
          autoFocus={asked}
          onAdd={(topic) => put([...new Set([...topics, topic])])}
        />
      )}
    </div>
  );
}

/** What the teacher alone calls the question. */
export const OwnName = ({ question, onChange, asked }: Props) => (
  <div className="mt-3 flex items-baseline gap-x-2 text-[14px]">
    <span className="label-small w-24">For you alone</span>
    <input
      className="sentence-part"
      aria-label="Short name, for you alone"
      placeholder="a short name"
      title="What lists and files call the question; students never see it"
      autoFocus={asked}
      maxLength={60}
      size={Math.max(12, question.name.length)}
      value={question.name}
      onChange={(event) => onChange({ ...question, name: event.target.value })}
    />
  </div>
);
