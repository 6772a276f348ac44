import { readListsFrom } from '@/server/wordLists';

/** Marking in tests knows the lists that the application ships. */
readListsFrom('public/words');
