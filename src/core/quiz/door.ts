import { Id } from '../content/questionBase';
import { Instant } from '../figures/instant';
import { z } from '../zod';

/** 256 bits, in hexadecimal signs: what only the teacher's browser and its backup hold. */
export const DoorToken = z.string().regex(/^[0-9a-f]{64}$/);
export const DoorId = z.string().regex(/^[a-z0-9]{12}$/);

/** A door as the teacher's browser and its backup keep it: whoever has this is the teacher of that door. */
export const KeptDoor = z.strictObject({ quizId: Id, id: DoorId, token: DoorToken, openedAt: Instant });
export type KeptDoor = z.infer<typeof KeptDoor>;
