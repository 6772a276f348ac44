import type { NoteQuestion } from '@/core/kinds/note/schema';
import { defineFaces } from '../defineFaces';

/** A note is its text: nothing is keyed, given or tried. */
export default defineFaces<NoteQuestion>({ Write: () => null, Folded: () => null, Try: () => null });
