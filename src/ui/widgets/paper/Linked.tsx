import { linkedParts } from '@/core/content/links';
import { Words } from './Formula';

/** Words in which the addresses that were typed can be pressed. */
export const Linked = ({ text }: { readonly text: string }) =>
  linkedParts(text).map(({ text: words, address }, at) =>
    address === null ? (
      <Words key={at} text={words} />
    ) : (
      <a
        key={at}
        className="link-text break-all"
        href={address}
        target="_blank"
        rel="noopener noreferrer"
        // What lies below it has a press of its own.
        onClick={(event) => event.stopPropagation()}
      >
        {words}
      </a>
    ),
  );
