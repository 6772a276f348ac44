import { useLiveQuery } from 'dexie-react-hooks';
import { listClasses, type ListedClass } from '@/store/class/classes';

const NONE: readonly ListedClass[] = [];

/** All classes in their order, kept up to date; none until they are read. */
export const useClasses = (): readonly ListedClass[] => useLiveQuery(listClasses, [], NONE);
