import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly children: ReactNode;
}

/** One of the things that teachers look for first: its name, and below it a sentence. */
export const Part = ({ title, children }: Props) => (
  <section className="border-b border-hair py-2.5 last:border-b-0" aria-label={title}>
    <h3 className="label-small font-sans">{title}</h3>
    <div className="mt-0.5 min-h-8 text-[16px] leading-8">{children}</div>
  </section>
);
