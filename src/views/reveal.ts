import { sceneDependsOn } from '@/core/checking/dependsOn';
import { isComplete, markedAt } from '@/core/reveal/markedAt';
import { sceneFor } from '@/core/reveal/scene';
import { Reveal, type Scene } from '@/core/reveal/whatIsShown';
import type { ScoredSheet } from '@/core/scoring/scoredSheet';
import type { ClassPapers } from './papers';

/** What was made of classes as they were marked; asked again, only another plan or other acts make it anew. */
const kept = new WeakMap<ClassPapers['marked'], { readonly state: string; readonly scene: Scene }>();

function sceneOf(live: ClassPapers): Scene {
  const { quiz, marked, people, members, everyAttempt } = live;
  const state = sceneDependsOn(quiz);
  const known = kept.get(marked);
  if (known?.state === state) return known.scene;
  const students = marked.students();
  let sheets: ReadonlyMap<string, ScoredSheet> | null = null;
  const sheetOf = (attemptId: string) => {
    sheets ??= new Map(students.flatMap((one) => one.sheets.map((sheet) => [sheet.attempt.id, sheet])));
    return sheets.get(attemptId);
  };
  const isNever = quiz.content.plan.aspects.classDid.when === 'never' && quiz.standing.plans.length === 0;
  const scene = sceneFor({
    content: quiz.content,
    standing: quiz.standing,
    people,
    members,
    attempts: everyAttempt,
    rulings: marked.work.rulings,
    markedAt: ({ id }) => {
      const sheet = sheetOf(id);
      return sheet ? markedAt(sheet) : 'atHandIn';
    },
    completePapers: isNever ? 0 : students.filter((one) => one.sheets.some(isComplete)).length,
  });
  kept.set(marked, { state, scene });
  return scene;
}

/** What each student of a marked class is shown at an instant, by the same code as on their own pages. */
export const revealOf = (live: ClassPapers, at: number): Reveal => new Reveal(sceneOf(live), at);
