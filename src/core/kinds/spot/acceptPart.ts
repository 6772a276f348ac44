import { isSilent } from '../../content/silence';
import type { GivenPart } from '../givenPart';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import type { SpotQuestion } from './schema';

/** A spot in the area earns that credit. */
export function acceptPart(
  question: SpotQuestion,
  { given }: GivenPart,
  { credit, feedback }: Accepted,
): Keyed<SpotQuestion> {
  const area = question.areas.find(({ id }) => id === given);
  if (!area) return notKeyed('What lies outside every area is given one in Write');
  const next = { ...area, credit, feedback: isSilent(feedback) ? area.feedback : feedback };
  return keyed({ ...question, areas: question.areas.map((one) => (one === area ? next : one)) });
}
