import { createContext, useContext } from 'react';

/** Whether what a key gives may be below 0, so that credits from −100% on can be typed. */
export const NegativeCredit = createContext(false);

/** The least credit that can be typed, in per cent. */
export const useLeastCredit = (): number => (useContext(NegativeCredit) ? -100 : 0);
