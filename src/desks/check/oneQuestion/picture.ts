import type { GivenPart } from '@/core/kinds/givenPart';
import type { OpenedPicture } from '@/workers/classDesk';

/** What was pressed in a picture: those who gave that. */
export interface Pressed {
  /** What they gave, as a sentence about them begins. */
  readonly what: string;
  readonly who: readonly string[];
  /** By what it is keyed alone; null where it is not. */
  readonly part: GivenPart | null;
  readonly isRight: boolean;
}

export interface PictureProps {
  readonly opened: OpenedPicture;
  /** What is said now to have been pressed; null for nothing. */
  readonly pressed: string | null;
  readonly onPress: (pressed: Pressed) => void;
}
