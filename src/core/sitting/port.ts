import type { PaperPacket, Receipt } from '../reveal/packets';

/** Where a student's paper is: the quiz, and the ticket that opens it. It names nobody. */
export interface PaperAddress {
  readonly quizId: string;
  readonly ticket: string;
}

/** One answer as a page sends it: see {@link Save}; what the answer holds is checked where it arrives. */
export interface SentAnswer {
  readonly attemptId: string;
  readonly questionId: string;
  readonly answer: unknown;
  readonly page: string;
  readonly number: number;
  readonly ago?: number;
}

/** A hint as a page asks for it. */
export interface SentHint {
  readonly attemptId: string;
  readonly questionId: string;
  readonly hintId: string;
}

/**
 * Everything that a student's page can ask for; it sees packets only. Each may be asked again where no reply came: what
 * was done already is not done twice.
 */
export interface StudentPort {
  /** Where this student stands, and everything that may be seen there; of several attempts, the one asked for. */
  openPaper(at: PaperAddress, attempt?: number): Promise<PaperPacket>;
  /** Starts the next attempt: the student's one deliberate press. */
  begin(at: PaperAddress): Promise<PaperPacket>;
  saveAnswer(at: PaperAddress, sent: SentAnswer): Promise<Receipt>;
  /** Shows the next hint of a question, for good; the packet that is opened next holds it. */
  askHint(at: PaperAddress, asked: SentHint): Promise<Receipt>;
  /** Turns to a page, from 0: where nobody goes back, those before it cannot be changed any more. */
  turnTo(at: PaperAddress, attemptId: string, page: number): Promise<Receipt>;
  /** Says that the page is still there: where nobody comes back, one that is silent for two minutes is locked. */
  giveSign(at: PaperAddress, attemptId: string): Promise<Receipt>;
  handIn(at: PaperAddress, attemptId: string): Promise<Receipt>;
  /** A picture of this quiz's paper, once the student may see the paper; null otherwise. */
  picture(at: PaperAddress, hash: string): Promise<Blob | null>;
}
