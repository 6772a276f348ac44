import { seenAt } from './class/atAnotherTime';
import { leakCount, plansEffect, planView, windowsEffect, zoneEffect } from './class/planView';
import { actEffects } from './class/sittingActs';
import { answersTo, checkHead, checkRows, openAnswer, openAttempt, openPaper, spreads } from './class/check';
import { answersFile, importFile, previewFile, previewRoster, refusedFile, scoresFile } from './class/files';
import { readFile } from '../files/readFile';
import { handBack } from './class/handBack';
import { classPicture } from './class/classPicture';
import { openQuestion } from './class/oneQuestion';
import { closingEffect, pending, timesEffect, unfinishedEffect } from './class/pending';
import { handQuestion } from './class/byHand';
import { giveOwnScores, markedBefore, ownScoresEffect } from './class/ownScores';
import { revisions } from './class/revisions';
import { printed } from './class/printed';
import { openFile, saveBackup, saveQuizFile, takeBackup, takeQuiz } from './class/shelfFiles';
import { quizCounts, tray, workOutside } from './class/tray';

export type {
  CheckCell,
  CheckRow,
  CheckTable,
  OpenedAnswer,
  OpenedAttempt,
  PaperQuestion,
} from './class/check';
export type { BundleGroup, BundleMark, ShownBundle } from './class/oneQuestion';
export type { OpenedPicture } from './class/classPicture';
export type { FilePreview, ImportDone, RosterPreview } from './class/files';
export type { HandBackRow } from './class/handBack';
export type { NamedChange, Pending } from './class/pending';
export type { HandAnswer, HandQuestion } from './class/byHand';
export type { OwnScores } from './class/ownScores';
export type { Revision } from './class/revisions';
export type { PrintedSlip } from './class/printed';
export type { OpenedFile, OpenedBackup, OpenedQuiz } from './class/shelfFiles';
export type { PlanLane, PlanLeak, PlanMark, PlanView } from './class/planView';
export type { TrayRow } from './class/tray';
export type { ActEffect, ActEffects } from './class/sittingActs';

/** Everything in bulk: the whole class's marks, effects of a change, files. */
export const classDesk = {
  checkHead,
  checkRows,
  pending,
  timesEffect,
  closingEffect,
  unfinishedEffect,
  actEffects,
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
  revisions,
  classPicture,
  tray,
  workOutside,
  quizCounts,
  spreads,
  answersTo,
  scoresFile,
  answersFile,
  refusedFile,
  printed,
  handBack,
  readFile,
  previewFile,
  importFile,
  previewRoster,
  saveQuizFile,
  saveBackup,
  openFile,
  takeQuiz,
  takeBackup,
};
export type ClassDesk = typeof classDesk;
