/** `npm run test:long` runs everything with large numbers, `npm test` everything once with small ones. */
export const LONG = process.env['TEST_LONG'] === 'yes';

/** How often something random is tried: a tenth of the large number, at least 50 times. */
export const runs = (many: number): number =>
  LONG ? many : Math.max(Math.min(many, 50), Math.round(many / 10));

/** How often something slow is repeated. */
export const times = (few: number, many: number): number => (LONG ? many : few);
