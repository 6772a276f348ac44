import { createContext, use } from 'react';

/** Asks for the dialog in which a quiz is opened to students, and closed. */
export const OpeningContext = createContext<() => void>(() => undefined);
export const useOpening = (): (() => void) => use(OpeningContext);
