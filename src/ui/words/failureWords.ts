import { failureOf, type StoreFailure } from '@/device/failure';

/** What is said when the store could not do something: what is wrong, what is safe, what to do. */

const WRITING: Readonly<Record<StoreFailure, string>> = {
  full: 'The storage of this browser is full. Nothing was changed, and nothing is lost: free some space and try again.',
  blocked:
    'This browser does not let Yentrel store anything. Nothing was changed: open Yentrel in an ordinary window, or allow it to store data.',
  gone: 'This is no longer here, perhaps because another tab deleted it. Nothing else was changed: load the page again.',
  conflict: 'Something else changed in the meantime, so nothing was saved. Check it and try again.',
  damaged:
    'Some of what is stored cannot be read, so nothing was changed. The rest is safe: save a backup, then load the page again.',
  notLoaded:
    'A part of Yentrel could not be loaded, so nothing was changed. Check the connection, then try again.',
  noList:
    'A word list that marking needs could not be loaded, so nothing was changed. Check the connection, then try again.',
  listComing:
    'The word list for this language is still being made, so nothing was changed. It takes about half a minute: try again then.',
  other: 'This did not work, and nothing was changed. Try again; if that does not help, load the page again.',
};

/** After a press that failed: of something damaged, what it is as well. */
export function failureWords(error: unknown): string {
  const failure = failureOf(error);
  const detail = failure === 'damaged' && error instanceof Error ? error.message : '';
  return detail === '' ? WRITING[failure] : `${WRITING[failure]} What is wrong: ${detail}.`;
}

const READING: Readonly<Record<StoreFailure, string>> = {
  full: 'The storage of this browser is full, so this cannot be shown. Nothing is lost: free some space and try again.',
  blocked:
    'This browser does not let Yentrel read what it stored: a private window or a setting forbids it. Open Yentrel in an ordinary window.',
  gone: 'This is not in this browser any more. It may have been deleted in another tab.',
  conflict: 'This was changed while it was being read. Try again.',
  damaged:
    'Some of what is stored here cannot be read. The rest is safe: save a backup, then load the page again.',
  notLoaded:
    'A part of Yentrel could not be loaded, so this cannot be shown. Nothing is lost: check the connection, then try again.',
  noList:
    'A word list that marking needs could not be loaded. Nothing is lost: check the connection, then try again.',
  listComing:
    'The word list for this language is still being made. It takes about half a minute, and this appears as soon as it is there.',
  other: 'This could not be shown. Nothing is lost: try again, or load the page again.',
};

/** Where something could not be read in order to be shown. */
export const readingFailed = (failure: StoreFailure): string => READING[failure];

const SHORT: Readonly<Record<StoreFailure, string>> = {
  full: 'the storage is full',
  blocked: 'the storage is blocked',
  gone: 'it is not here any more',
  conflict: 'it was just changed',
  damaged: 'some of it cannot be read',
  notLoaded: 'a part of Yentrel is missing',
  noList: 'a word list is missing',
  listComing: 'a word list is still being made',
  other: 'it could not be read',
};

/** The same in a few words, where many stand below each other. */
export const failureInShort = (failure: StoreFailure): string => SHORT[failure];

const SAVING: Readonly<Record<StoreFailure, string>> = {
  full: 'The storage of this browser is full. What you typed is safe in this tab, but not stored.',
  blocked: 'This browser does not let Yentrel store anything. What you typed is safe in this tab only.',
  gone: 'What you are editing has been deleted, perhaps in another tab. What you typed is safe in this tab only.',
  conflict: 'Something else was changed meanwhile. What you typed is safe in this tab, but not stored.',
  damaged: 'What is stored cannot be read. What you typed is safe in this tab, but not stored.',
  notLoaded: 'A part of Yentrel could not be loaded. What you typed is safe in this tab, but not stored.',
  noList: 'A word list could not be loaded. What you typed is safe in this tab, but not stored.',
  listComing: 'A word list is still being made. What you typed is safe in this tab, but not stored.',
  other: 'Saving did not work. What you typed is safe in this tab, but not stored.',
};

/** While what is typed cannot be saved. */
export const savingFailed = (failure: StoreFailure): string => SAVING[failure];

const STARTING: Readonly<Record<StoreFailure, string>> = {
  ...READING,
  full: 'The storage of this browser is full, so Yentrel cannot start here. Free some space and load this page again.',
  blocked:
    'This browser does not let Yentrel store anything: a private window or a setting forbids it. Open Yentrel in an ordinary window.',
  other:
    'The storage of this browser cannot be opened. Load this page again; if that does not help, use another browser.',
};

/** Where the store cannot be opened at all. */
export const startingFailed = (failure: StoreFailure): string => STARTING[failure];
