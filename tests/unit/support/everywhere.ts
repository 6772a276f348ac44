import 'fake-indexeddb/auto';
import { readListsFrom } from '@/server/wordLists';

/** What every test finds there, loaded before it: a database, and the word lists that the application ships. */
readListsFrom('public/words');
