import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<GapsQuestion>({ Write, Folded, Rules, ruled });
