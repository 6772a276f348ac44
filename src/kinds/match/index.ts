import type { MatchQuestion } from '@/core/kinds/match/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<MatchQuestion>({ Write, Folded, Rules, ruled });
