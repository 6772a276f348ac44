import { circles } from '../views/circles';
import { seenAt } from '../views/atAnotherTime';
import { leakCount, plansEffect, planView, windowsEffect, zoneEffect } from '../views/planView';
import { answersInThirds, figures, figuresFile } from '../views/figures';
import { lateAnswers } from '../views/lateAnswers';
import { actEffects } from '../views/sittingActs';
import { answersTo, checkHead, checkRows, openAnswer, openAttempt, openPaper, spreads } from '../views/check';
import { answersFile, importFile, previewFile, previewRoster, refusedFile, scoresFile } from '../views/files';
import { readFile } from '../files/readFile';
import { handBack } from '../views/handBack';
import { classPicture } from '../views/classPicture';
import { openQuestion } from '../views/oneQuestion';
import { closingEffect, pending, timesEffect, unfinishedEffect } from '../views/pending';
import { handQuestion } from '../views/byHand';
import { giveOwnScores, markedBefore, ownScoresEffect } from '../views/ownScores';
import { keepScoresUnderNewerRules } from '../views/newerRules';
import { revisions } from '../views/revisions';
import { printed } from '../views/printed';
import { openFile, saveBackup, saveQuizFile, takeBackup, takeQuiz } from '../views/shelfFiles';
import { paperFile, paperFiles, paperStyle, papersOut, zippedPages } from '../views/papersOut';
import { checkReceipt, closeDoor, openDoor, syncDoor } from '../views/door';
import { judgeAnswers, takeAnswers } from '../store/work/answersIn';
import { quizCounts, tray, workOutside } from '../views/tray';

export type {
  CheckCell,
  CheckRow,
  CheckTable,
  OpenedAnswer,
  OpenedAttempt,
  PaperQuestion,
} from '../views/check';
export type { BundleGroup, BundleMark, ShownBundle } from '../views/oneQuestion';
export type { OpenedPicture } from '../views/classPicture';
export type { FilePreview, ImportDone, RosterPreview } from '../views/files';
export type { HandBackRow } from '../views/handBack';
export type { NamedChange, Pending } from '../views/pending';
export type { HandAnswer, HandQuestion } from '../views/byHand';
export type { OwnScores } from '../views/ownScores';
export type { Revision } from '../views/revisions';
export type { SlipHolds } from '../views/printed';
export type { DoorStand } from '../views/door';
export type { NamedBy } from '../views/papersOut';
export type { OpenedFile, OpenedBackup, OpenedQuiz } from '../views/shelfFiles';
export type { PlanLane, PlanLeak, PlanMark, PlanView } from '../views/planView';
export type { TrayRow } from '../views/tray';
export type { FiguresOf } from '../views/figures';
export type { LateAnswer } from '../views/lateAnswers';
export type { ActEffect, ActEffects } from '../views/sittingActs';

/** What comes from files: read, and taken in. */
export const fileDesk = { readFile, openFile, takeQuiz, takeBackup };
export type FileDesk = typeof fileDesk;

/** Everything in bulk: the whole class's marks, effects of a change, files. */
export const classDesk = {
  checkHead,
  checkRows,
  pending,
  timesEffect,
  closingEffect,
  unfinishedEffect,
  actEffects,
  lateAnswers,
  figures,
  figuresFile,
  answersInThirds,
  planView,
  plansEffect,
  leakCount,
  zoneEffect,
  seenAt,
  windowsEffect,
  openAnswer,
  openAttempt,
  openPaper,
  openQuestion,
  handQuestion,
  ownScoresEffect,
  giveOwnScores,
  markedBefore,
  keepScoresUnderNewerRules,
  revisions,
  classPicture,
  tray,
  circles,
  workOutside,
  quizCounts,
  spreads,
  answersTo,
  scoresFile,
  answersFile,
  refusedFile,
  printed,
  handBack,
  previewFile,
  importFile,
  previewRoster,
  saveQuizFile,
  saveBackup,
  papersOut,
  paperStyle,
  zippedPages,
  paperFile,
  paperFiles,
  openDoor,
  syncDoor,
  closeDoor,
  checkReceipt,
  judgeAnswers,
  takeAnswers,
};
export type ClassDesk = typeof classDesk;
export type { Circle } from '../views/circles';
