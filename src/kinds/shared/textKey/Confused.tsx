import type { TextKey } from '@/core/kinds/shared/textKey/schema';
import { listFor, NEWEST_EDITION } from '@/core/answers/text/words/wordLists';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { quickWorker } from '@/workers/clients';
import { Proposed } from '../Proposed';

interface Props {
  readonly textKey: TextKey;
  readonly language: string;
  readonly about?: string | undefined;
  readonly onAdd: (word: string) => void;
}

/** Other words that are easily taken for a right one: proposed as wrong answers to expect. */
export function Confused({ textKey, language, about, onAdd }: Props) {
  const { settings, variants } = textKey;
  // When the hand rests: only what is in the key is looked up.
  const written = useSettled(JSON.stringify({ settings, variants }), 300);
  const { value } = useQuery(async () => {
    if (!listFor(language, NEWEST_EDITION)) return [];
    return quickWorker().confusedWords(JSON.parse(written) as TextKey, language);
  }, [written, language]);
  return (
    <Proposed
      what="Students may take these for it"
      about={about}
      entries={(value ?? []).map((text) => ({ text }))}
      onAdd={onAdd}
    />
  );
}
