import type { ShownThing } from '@/core/content/shownAnswer';
import { Words } from '@/ui/widgets/paper/Formula';
import { Picture } from '@/ui/widgets/paper/Picture';

/** Something of the question, as students met it. */
export const ThingName = ({ thing }: { readonly thing: ShownThing }) => (
  <>
    {thing.picture && <Picture picture={thing.picture} small />}
    <Words text={thing.text} />
  </>
);

/** The same in words alone. */
export const nameOf = ({ text, picture }: ShownThing): string => text.trim() || picture?.alt || 'a picture';
