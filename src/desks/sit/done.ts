/** How work at a paper ends: handed in, or its time is over. */
export type Done = 'handedIn' | 'timeOver';

/** The way in which work leaves its page: handed in to whoever serves it, or saved as a file of answers. */
export type Way = 'handIn' | 'file';
