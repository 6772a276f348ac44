import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import { defineFaces } from '../defineFaces';
import { Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<PhraseQuestion>({ Write, Folded, Rules, Try, typed: true });
