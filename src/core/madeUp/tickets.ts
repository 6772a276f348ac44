import { below, randomFrom } from '../figures/random';
import { ticketFrom } from '../quiz/people/ticket';

/** The ticket of a made-up student, the same in every browser: made from the id, so that anybody can work it out. */
export function madeUpTicket(studentId: string): string {
  const seed = [...studentId].reduce((sum, sign) => (Math.imul(sum, 31) + sign.charCodeAt(0)) | 0, 7);
  const random = randomFrom(seed);
  return ticketFrom((most) => below(random, most));
}
