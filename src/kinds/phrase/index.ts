import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<PhraseQuestion>({ Write, Folded, Rules, ruled, Try, typed: true });
