import type { Option } from './schema';

/** An option as it is named: its words, else what its picture shows. */
export const optionName = ({ text, picture }: Pick<Option, 'text' | 'picture'>): string =>
  text.trim() || picture?.alt || '';
