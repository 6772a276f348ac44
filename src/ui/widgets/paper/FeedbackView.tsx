import { isSafeAddress } from '@/core/content/links';
import { isEmptyProse } from '@/core/content/prose';
import type { Feedback } from '@/core/content/feedback';
import { useText, useTold } from '../../told/useTold';
import { ProseView } from './ProseView';

/** Feedback as its reader sees it: the words and where to go next. */
export function FeedbackView({ feedback }: { readonly feedback: Feedback }) {
  const { links: kinds } = useTold().results;
  const text = useText();
  const links = feedback.links.filter((link) => isSafeAddress(link.address));
  return (
    <>
      {!isEmptyProse(feedback.text) && <ProseView text={feedback.text} alone />}
      {links.map((link, index) => (
        <span key={index} className="block">
          {kinds[link.kind]}:{' '}
          <a className="link-text" href={link.address} target="_blank" rel="noopener noreferrer">
            <bdi {...text}>{link.title || link.address}</bdi>
          </a>
          <span className="hidden break-all print:inline"> ({link.address})</span>
        </span>
      ))}
    </>
  );
}
