import type { Tried } from '@/core/checking/compared';
import { comparingAddress } from '@/ui/teacher/comparingAddress';

/** The way to the page on which comparing can be tried, with a key as it is written here. It opens beside this page. */
export const HowCompared = ({ tried }: { readonly tried: Partial<Tried> }) => (
  <a
    className="link-text mt-1 inline-flex min-h-[26px] items-center text-[13.5px]"
    href={comparingAddress(tried)}
    target="_blank"
    rel="noopener"
  >
    Try how answers are compared<span className="sr-only"> (in a new tab)</span>
  </a>
);
