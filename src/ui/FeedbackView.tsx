import { isSafeAddress } from '@/core/quiz/silence';
import type { Feedback } from '@/core/quiz/feedback';

/** Feedback as its reader sees it: the words and where to go next. */
export function FeedbackView({ feedback }: { readonly feedback: Feedback }) {
  return (
    <>
      {feedback.text !== '' && <span className="whitespace-pre-line">{feedback.text} </span>}
      {feedback.links
        .filter((link) => isSafeAddress(link.address))
        .map((link) => (
          <a
            key={link.address}
            className="link-text"
            href={link.address}
            target="_blank"
            rel="noopener noreferrer"
          >
            {link.title || link.address}
          </a>
        ))}
    </>
  );
}
