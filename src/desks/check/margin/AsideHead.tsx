/** The head of what the margin shows in place of an answer, with the way back to it. */
export const AsideHead = ({ title, onClose }: { readonly title: string; readonly onClose: () => void }) => (
  <div className="flex items-baseline justify-between gap-3">
    <h2 className="text-[17px]">{title}</h2>
    <button type="button" className="link-text min-h-[26px] cursor-pointer" onClick={onClose}>
      Back to the answer
    </button>
  </div>
);
