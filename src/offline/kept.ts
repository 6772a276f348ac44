/** Whether the application is kept on this device, so that it works with its server away, and whether a newer one waits. */

/** `insecure`: over plain http a browser keeps no application, but for that of the machine itself. */
type Keeping = 'unknown' | 'coming' | 'kept' | 'insecure' | 'failed';

export interface Kept {
  readonly keeping: Keeping;
  /** Takes the newer application that waits; null while none does. */
  readonly takeNewer: (() => void) | null;
}

let kept: Kept = { keeping: 'unknown', takeNewer: null };
const listeners = new Set<() => void>();

function set(next: Partial<Kept>): void {
  kept = { ...kept, ...next };
  listeners.forEach((listener) => listener());
}

export const subscribeKept = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const keptNow = (): Kept => kept;

const SCRIPT = '/serviceworker.js';
let asked = false;

/** Asks the browser to keep the application; once on a page, and after all that the page itself needs. */
export async function keepApplication(): Promise<void> {
  if (asked) return;
  asked = true;
  if (!('serviceWorker' in navigator)) {
    set({ keeping: isSecureContext ? 'failed' : 'insecure' });
    return;
  }
  set({ keeping: navigator.serviceWorker.controller ? 'kept' : 'coming' });
  const { Workbox } = await import('workbox-window');
  const box = new Workbox(SCRIPT);
  let taking = false;
  box.addEventListener('waiting', () => {
    set({
      takeNewer: () => {
        taking = true;
        box.messageSkipWaiting();
      },
    });
  });
  // Where it was taken in another tab, this one goes on until somebody presses, too: nothing that is typed here is cut off.
  box.addEventListener('controlling', () => {
    if (taking) location.reload();
    else set({ takeNewer: () => location.reload() });
  });
  box.addEventListener('activated', () => set({ keeping: 'kept' }));
  // A file of it could not be fetched or stored; the next visit tries again.
  box.addEventListener('redundant', () => {
    if (!navigator.serviceWorker.controller) set({ keeping: 'failed' });
  });
  try {
    await box.register();
  } catch {
    // With the server away the application that is kept goes on; without one, it is not kept yet.
    if (!navigator.serviceWorker.controller) set({ keeping: 'failed' });
  }
}
