import { PaperPacket } from '@/core/reveal/packets';
import { packetFor } from '@/core/sitting/packet';
import { pretendedStore, visitAt } from '@/store/work/pretendedStore';

/**
 * What a student would see at an instant, by the code that serves students: hand-ins, own scores, comments and presses of
 * later are not there; the key is today's. Nothing is written.
 */
export async function seenAt(quizId: string, studentId: string, at: number): Promise<PaperPacket> {
  const visit = await visitAt(quizId, studentId, at);
  if (!visit) return { state: 'unknown' };
  return PaperPacket.parse(await packetFor(pretendedStore(at), visit));
}
