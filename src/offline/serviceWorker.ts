import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

/**
 * Keeps the application on the device, so that it opens and works with its server away. A newer one is fetched beside it and waits
 * until somebody takes it: nothing changes under the hand.
 */

/** Every file of the application, with what its bytes are known by where its name does not say so: written in by the build. */
declare const FILES: { readonly url: string; readonly revision: string | null }[];

interface Scope {
  skipWaiting(): Promise<void>;
  addEventListener(type: 'message', listener: (event: MessageEvent<unknown>) => void): void;
}
const scope = self as unknown as Scope;

// Pages find themselves in what stands behind the question mark: the page is the same.
precacheAndRoute(FILES, { ignoreURLParametersMatching: [/./] });
cleanupOutdatedCaches();

/** A list of words never changes under its name: those that were asked for are kept. */
registerRoute(
  ({ url }) => url.pathname.startsWith('/words/'),
  new CacheFirst({ cacheName: 'yentrel-words' }),
);

const asksToTake = (data: unknown): boolean =>
  typeof data === 'object' && data !== null && 'type' in data && data.type === 'SKIP_WAITING';

scope.addEventListener('message', ({ data }) => {
  // Where it cannot, the page goes on as it is, and can ask again.
  if (asksToTake(data)) scope.skipWaiting().catch(() => undefined);
});
