import type { QuizRecord } from '@/store/records/db';
import type { Filter } from './ShelfTools';

/** True where a quiz fits what is looked for. */
export function matches(quiz: QuizRecord, { search, topic, classId, among }: Filter): boolean {
  const where = quiz.deletedAt !== null ? 'deleted' : quiz.archivedAt !== null ? 'away' : 'shelf';
  if (where !== among) return false;
  if (topic !== '' && quiz.content.topic.trim() !== topic) return false;
  if (classId !== '' && !quiz.standing.setTo.some((set) => set.classId === classId)) return false;
  const text = `${quiz.content.title} ${quiz.content.topic}`.toLocaleLowerCase();
  return search
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
