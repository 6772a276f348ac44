/**
 * A press that adds something stores it first, and its field is drawn a moment later. What is typed in between is held in a
 * field that nobody sees, which has the focus at once, and given to the field when it is there: with real keys, letters put
 * together of several, and a phone's keyboard that stays open.
 */
interface Held {
  readonly box: HTMLTextAreaElement;
  readonly timer: ReturnType<typeof setTimeout>;
}

/** A field that has not come after so long does not come: ms. */
const LONGEST = 15_000;
let held: Held | null = null;

function letGo(): void {
  if (!held) return;
  clearTimeout(held.timer);
  held.box.remove();
  held = null;
}

/** Holds what is typed from now on until a field lands. To be called in the press itself. `label` says what is written. */
export function holdKeys(label: string): void {
  // A press that failed and is made again goes on with what was typed after the first.
  const before = held?.box.value ?? '';
  letGo();
  const box = document.createElement('textarea');
  box.value = before;
  box.className = 'sr-only';
  box.setAttribute('aria-label', label);
  box.dataset['ownUndo'] = '';
  box.addEventListener('keydown', (event) => {
    if (event.key === 'Tab') event.preventDefault();
    if (event.key === 'Escape') letGo();
  });
  box.addEventListener('compositionstart', () => {
    box.dataset['composing'] = '';
  });
  box.addEventListener('compositionend', () => {
    delete box.dataset['composing'];
  });
  document.body.append(box);
  box.focus({ preventScroll: true });
  held = { box, timer: setTimeout(letGo, LONGEST) };
}

/** Under this name the next page finds what was typed while it was on its way. */
const ON_THE_WAY = 'yentrel-typed';

/** The same where a press leads to another page: what is typed until it comes goes there with it. */
export function holdKeysAcross(label: string): void {
  holdKeys(label);
  const own = held;
  const hand = () => {
    if (!held || held !== own) return;
    try {
      sessionStorage.setItem(ON_THE_WAY, held.box.value);
    } catch {
      // A browser that keeps nothing takes nothing along: what was typed is lost, the quiz is not.
    }
  };
  addEventListener('pagehide', hand, { once: true });
}

/** The press has failed: what is typed goes where it always does. */
export const dropKeys = (): void => letGo();

/** What a page's head catches until its scripts are there. */
interface EarlyKeys {
  readonly text: () => string;
  readonly stop: () => void;
}

/** In the page that was led to: takes up what was typed on the way, and holds on until a field lands. */
export function holdKeysOn(label: string): void {
  const { earlyKeys } = window as { earlyKeys?: EarlyKeys };
  if (!earlyKeys) return;
  const before = sessionStorage.getItem(ON_THE_WAY) ?? '';
  sessionStorage.removeItem(ON_THE_WAY);
  const early = earlyKeys.text();
  earlyKeys.stop();
  holdKeys(label);
  if (held) held.box.value = before + early;
}

const isWritten = (element: Element | null): boolean =>
  element?.matches('input, textarea, select, [contenteditable=true]') ?? false;

/** Types text into a field as keys would, so that whoever listens to it hears it. */
function type(field: HTMLElement, text: string): void {
  field.focus();
  document.execCommand('insertText', false, text);
}

/**
 * The field that a press added is there: it takes the focus, and what was typed since the press, by `write` where it has a
 * way of its own. A field that somebody has begun to write in meanwhile keeps the focus.
 */
export function land(field: HTMLElement, write: (text: string) => void = (text) => type(field, text)): void {
  const box = held?.box;
  if (!box) {
    if (!isWritten(document.activeElement)) field.focus();
    return;
  }
  const take = () => {
    const { activeElement } = document;
    const elsewhere =
      activeElement !== box && isWritten(activeElement) ? (activeElement as HTMLElement) : null;
    const text = box.value;
    letGo();
    if (text !== '') write(text);
    (elsewhere ?? field).focus();
  };
  // A letter that is just being put together is waited for.
  if (box.dataset['composing'] === undefined) take();
  else box.addEventListener('compositionend', () => setTimeout(take), { once: true });
}
