import type { ReactNode } from 'react';
import type { Clip } from '@/core/content/clip';
import type { Picture as PictureData } from '@/core/content/picture';
import type { Fraction } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { Words } from '@/ui/widgets/paper/Formula';
import { Picture } from '@/ui/widgets/paper/Picture';
import { percent } from '@/ui/words/figures';

/** One answer of a folded key: its disc, and the words. */
export const FoldedEntry = ({ credit, children }: { credit: Fraction; children: ReactNode }) => (
  <li className={credit.n > 0 ? 'font-semibold' : 'text-soft'}>
    <CreditPie
      credit={credit}
      size={11}
      label={credit.n <= 0 ? '' : credit.n === credit.d ? 'right:' : `${percent(credit)}:`}
    />{' '}
    {children}
  </li>
);

/** A folded key: the answers beside each other. */
export const FoldedKey = ({ children }: { children: ReactNode }) => (
  <ul className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">{children}</ul>
);

interface FoldedThing {
  readonly text: string;
  readonly picture: PictureData | null;
  readonly clip?: Clip | undefined;
}

/** Words and small picture of something in a folded key. */
export const FoldedThing = ({ text, picture, clip, empty }: FoldedThing & { readonly empty: string }) => (
  <>
    {picture && <Picture picture={picture} small />}
    {text ? <Words text={text} /> : picture ? '' : clip?.title || empty}
  </>
);

interface OptionsProps<One> {
  readonly options: readonly One[];
  readonly credit: (option: One) => Fraction;
}

/** The options of a folded question, without those that are gone. */
export const FoldedOptions = <One extends FoldedThing & { readonly id: string; readonly gone: boolean }>({
  options,
  credit,
}: OptionsProps<One>) => (
  <FoldedKey>
    {options
      .filter(({ gone }) => !gone)
      .map((option) => (
        <FoldedEntry key={option.id} credit={credit(option)}>
          <FoldedThing text={option.text} picture={option.picture} clip={option.clip} empty="empty option" />
        </FoldedEntry>
      ))}
  </FoldedKey>
);
