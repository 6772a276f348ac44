import { isSafeAddress, LINK_KINDS } from '@/core/content/links';
import { isEmptyProse } from '@/core/content/prose';
import type { Feedback } from '@/core/content/feedback';
import { ProseView } from './ProseView';

/** Feedback as its reader sees it: the words and where to go next. */
export function FeedbackView({ feedback }: { readonly feedback: Feedback }) {
  const links = feedback.links.filter((link) => isSafeAddress(link.address));
  return (
    <>
      {!isEmptyProse(feedback.text) && <ProseView text={feedback.text} />}
      {links.map((link, index) => (
        <span key={index} className="block">
          {LINK_KINDS[link.kind]}:{' '}
          <a className="link-text" href={link.address} target="_blank" rel="noopener noreferrer">
            {link.title || link.address}
          </a>
          <span className="hidden break-all print:inline"> ({link.address})</span>
        </span>
      ))}
    </>
  );
}
