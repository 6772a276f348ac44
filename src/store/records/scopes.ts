/** What has a history of its own: a quiz by its id, the class list, the Shelf. */
export const CLASS_LIST = '#class-list';
export const SHELF = '#shelf';
