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
