import type { SpotQuestion } from '@/core/kinds/spot/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<SpotQuestion>({ Write, Folded, Rules, ruled });
