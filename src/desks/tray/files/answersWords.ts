import type { AnswersNote, AnswersProblem, Judged } from '@/core/away/takeIn';
import { ticketShown } from '@/core/quiz/people/ticket';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';

/** Why nothing of a file of answers is imported, and what to do. */
export function problemWords(problem: AnswersProblem): string {
  switch (problem.problem) {
    case 'noAnswers':
      return problem.place === null
        ? 'There are no answers from a quiz file in it.'
        : `It cannot be read at “${problem.place}”. Ask the student to save the answers again.`;
    case 'large':
      return 'It is too large to be a file of answers.';
    case 'cut':
      return 'Its end is missing. Ask the student to copy the whole text again, or for the file.';
    case 'changed':
      return 'It was changed after it was saved, so nothing in it is imported. Ask the student to save the answers again.';
    case 'newer':
      return 'It was saved by a newer Yentrel.';
    case 'otherQuiz':
      return `It belongs to another quiz: “${problem.title}”.`;
    case 'noTicket':
      return `Nobody has the ticket ${ticketShown(problem.ticket)}, or not any more.`;
    case 'notSet':
      return `The quiz is not set for ${problem.name}.`;
    case 'noRevision':
      return 'It was made from a version of this quiz that is not in this browser.';
    case 'noneLeft':
      return `${problem.name} has no attempt left. Give one more in the Tray, then choose the file again.`;
  }
}

/** What is worth a look in one that comes in. */
export function noteWords(note: AnswersNote, zone: string): string {
  switch (note.note) {
    case 'late':
      return 'late';
    case 'tooLate':
      return 'saved after closing, so it counts only once you accept it';
    case 'clock':
      return `the device’s clock is wrong (it says ${dayAndTimeIn(note.says, zone)}), so it counts as brought now and not late`;
    case 'overTime':
      return `saved ${count(note.minutes, 'minute')} after the time was over`;
    case 'gone':
      return `${count(note.answers, 'answer')} to questions that are not in the quiz, left out`;
    case 'unreadable':
      return `${count(note.answers, 'answer')} that cannot be read, left out`;
    case 'otherDevice':
      return 'from another device than before';
  }
}

/** What becomes of one that holds. */
export function becomesWords(judged: Exclude<Judged, { becomes: 'nothing' }>): string {
  switch (judged.becomes) {
    case 'new':
      return judged.attempt === 1 ? 'new' : `new, attempt ${judged.attempt}`;
    case 'later':
      return 'replaces what came before';
    case 'same':
      return 'here already';
    case 'earlier':
      return 'older than what is here';
  }
}
