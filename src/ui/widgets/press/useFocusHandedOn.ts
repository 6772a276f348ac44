import { useEffect } from 'react';

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [contenteditable="true"], [tabindex="0"]';

/** How many frames a page has to hand the focus on by itself before it is done for it. */
const PATIENCE = 3;

const isSeen = (element: HTMLElement): boolean => element.checkVisibility({ visibilityProperty: true });

/** Whether something begins behind a node, and is not within it. */
const isBehind = (one: Node, node: Node): boolean =>
  !node.contains(one) && (node.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) > 0;

/** Where the focus would go next from where something stood: to what follows on its desk or in its dialog, else to what came before. */
function nextTo(parent: Element, previous: Node | null): HTMLElement | undefined {
  const around = parent.closest('main, dialog') ?? document.body;
  const all = [...around.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(isSeen);
  const follows = (one: HTMLElement) =>
    previous ? isBehind(one, previous) : parent.contains(one) || isBehind(one, parent);
  return all.find(follows) ?? all.at(-1);
}

/**
 * Hands the focus on where what had it disappears under the hand: a reader by keys or by ear stays where they were. Where a page
 * moves the focus by itself, or goes to another desk, this keeps out of it.
 */
export function useFocusHandedOn(): void {
  useEffect(() => {
    let held: Element | null = null;
    let frame = 0;
    const hold = ({ target }: FocusEvent) => {
      held = target instanceof Element ? target : null;
    };
    const letGo = ({ target }: PointerEvent) => {
      if (held && !(target instanceof Node && held.contains(target))) held = null;
    };
    const look = (records: MutationRecord[]) => {
      const lost = held;
      if (!lost || lost.isConnected) return;
      const record = records.find(({ removedNodes }) =>
        [...removedNodes].some((node) => node.contains(lost)),
      );
      if (!record) return;
      held = null;
      const isOfDesk = [...record.removedNodes].some(
        (node) => node instanceof Element && (node.matches('main, dialog') || node.querySelector('main')),
      );
      if (isOfDesk) return;
      const { target, previousSibling } = record;
      let left = PATIENCE;
      const hand = () => {
        if (document.activeElement !== document.body && document.activeElement !== null) return;
        if (left-- > 0) frame = requestAnimationFrame(hand);
        else if (target instanceof Element && target.isConnected)
          nextTo(target, previousSibling?.isConnected ? previousSibling : null)?.focus();
      };
      frame = requestAnimationFrame(hand);
    };
    const watched = new MutationObserver(look);
    watched.observe(document.body, { childList: true, subtree: true });
    addEventListener('focusin', hold);
    addEventListener('pointerdown', letGo);
    return () => {
      watched.disconnect();
      cancelAnimationFrame(frame);
      removeEventListener('focusin', hold);
      removeEventListener('pointerdown', letGo);
    };
  }, []);
}
