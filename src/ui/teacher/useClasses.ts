import { useLiveQuery } from 'dexie-react-hooks';
import { listClasses, type ListedClass } from '@/store/class/classes';

/** All classes in their order, kept up to date; null until they are read. */
export const useClasses = (): readonly ListedClass[] | null => useLiveQuery(listClasses, [], null);
