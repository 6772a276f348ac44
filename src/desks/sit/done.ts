/** How work at a paper ends: handed in, or its time is over. */
export type Done = 'handedIn' | 'timeOver';
