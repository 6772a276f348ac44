import { lazy, type ComponentType } from 'react';
import type { Answer, Face, KindOnScreen } from '@/core/kinds';

/** How a kind of question is answered: what is shown, what is given so far, and where a change goes. */
export interface SitProps {
  readonly face: Face;
  readonly answer: Answer | null;
  readonly labelledBy: string;
  readonly onAnswer: (answer: Answer | null) => void;
}

/** The faces of every kind on the student's page, loaded when used. */
const FACES: Readonly<Record<KindOnScreen, ComponentType<SitProps>>> = {
  pickOne: lazy(() => import('./pickOne/Sit')),
  phrase: lazy(() => import('./phrase/Sit')),
};

/** How a kind is answered on screen. Quizzes hold only kinds that can be. */
export const sitFace = (kind: Face['kind']): ComponentType<SitProps> => FACES[kind as KindOnScreen];
