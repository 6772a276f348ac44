import type { Fraction } from '@/core/figures/fraction';
import type { Grammar } from './grammar';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';

/** What is waited for, at the end of a sentence, and behind “2 days after”. */
export type Plainly = readonly [plain: string, after: string];

/** What students are told, in English. Every other language says all of it. */
export const en = (g: Grammar) => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'point', 'points')}`;
  const minutes = (n: number) => g.count(n, 'minute', 'minutes');
  const errors = (n: number) => g.count(n, 'typing error', 'typing errors');
  const times = (n: number) => ['never', 'once', 'twice'][n] ?? `${n} times`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'hour', 'hours'),
    day: (n) => g.count(n, 'day', 'days'),
  };
  const whose = (scope: Scope) =>
    ({ all: 'everyone', class: 'everyone in your class', group: 'everyone in your group' })[scope];
  const counts: Readonly<Record<Counts, string>> = {
    best: 'your best attempt counts',
    latest: 'your latest attempt counts',
    first: 'your first attempt counts',
    mean: 'the average of your attempts counts',
  };
  const often = (most: number | null) =>
    `You can take this quiz ${most === null ? 'as often as you like' : times(most)}`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['as soon as you hand in', 'you hand in'],
      closed: ['when your teacher closes the quiz', 'the quiz closes for you'],
      allClosed: [`when the quiz has closed for ${whose(scope)}`, `the quiz has closed for ${whose(scope)}`],
      allDone: [
        `when ${whose(scope)} has handed in or the time is over`,
        `${whose(scope)} has handed in or the time is over`,
      ],
      date: ['at a set time', 'a set time'],
      marked: ['when everything is marked', 'everything is marked'],
      lastAttempt: ['after your last attempt', 'your last attempt'],
      byTeacher: ['when your teacher shows it', 'your teacher shows it'],
      takenBack: ['when your teacher shows it again', 'your teacher shows it again'],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'earned' : 'possible');
  return {
    again: 'Try again',
    page: {
      loading: 'Loading your paper…',
      cannotOpen: 'Your paper cannot be opened here',
      cannotOpenWhy:
        'Nothing of yours is lost. Try again; if it does not help, open the address in an ordinary window, or in another browser.',
      handedIn: 'Handed in',
      timeOver: 'The time is over',
      restToCome: 'Everything saved is kept. What comes next could not be loaded: try again in a moment.',
      nothingHandedIn: (outOf: Fraction) => `You have 0 of ${pts(outOf)}, as nothing was handed in.`,
      noPaper: 'There is no paper at this address',
      noPaperWhy: 'Check the address with your teacher. Nothing of yours is lost.',
      takenBack:
        'Your teacher has taken the quiz back for now. Your answers are kept, and your time stands still. This page continues automatically.',
      notOpen: 'This quiz is not open. Ask your teacher when it will be.',
      opens: (at: number) => `It opens on ${g.dayAndTime(at)}. This page will open it automatically.`,
      locked:
        'This page was left for more than two minutes, so your paper is locked. What you had answered is kept. Ask your teacher to unlock it; this page then continues automatically.',
      notHandedIn:
        'The quiz has closed. Work that was not handed in doesn’t count for this quiz. Ask your teacher.',
      lockedNow: 'This page is locked for now.',
      unlocked: 'Your paper is unlocked. Go on.',
      stopped: 'This page stopped working',
      stoppedWhy: 'What you answered so far is saved on this device.',
    },
    ticket: {
      title: 'Your ticket',
      how: 'Type the 8 signs of your ticket. Capital letters and the dash make no difference.',
      label: 'Ticket',
      go: 'Continue',
      empty: 'Type your ticket first.',
      strange: (sign: string) => `There is no “${sign}” in a ticket. Look at yours again.`,
      length: (n: number) => `A ticket has 8 signs, and this one has ${n}.`,
      slip: 'One of the signs is not right. Look at your ticket again.',
      nobodys: 'Nobody has this ticket. Look at yours again, or ask your teacher.',
      other: 'Use another ticket',
      mine: (ticket: string) => `Ticket ${ticket}`,
    },
    file: {
      what: 'This quiz is a file: it sends nothing. At the end you save your answers and give them to your teacher.',
      noScripts:
        'This quiz is a file that needs a browser. If you see only this text, open the file in a browser, or ask your teacher for another way.',
      clock: 'All times are those of this device.',
      noHints: 'Hints are not part of this file.',
      results: 'Your teacher gives you your results.',
      asOften: 'You can change your answers and save them again: the latest ones count.',
      once: 'You cannot go back to your answers once your time is over.',
      notKept:
        'This browser keeps nothing for files. Your answers are on this page alone: save them before you close it.',
      review: 'Look over and save',
      ready: 'Ready to save your answers?',
      save: 'Save my answers',
      failed: 'They could not be saved. Everything is still on this page. Try again, or copy them as text.',
      yours: 'Your answers',
      saved: (file: string) => `Saved as the file ${file}. Give this file to your teacher.`,
      over: 'The time is over. Save your answers and give them to your teacher.',
      notSaved: 'They are not saved as a file yet.',
      again: 'Save them again',
      copy: 'Copy them as text',
      copied: 'Copied. Paste the text into a message to your teacher.',
      text: 'Your answers as text',
      select: 'This browser does not copy. Select this text, copy it, and send it to your teacher.',
      back: 'Back to my answers',
      opens: (at: number) => `It opens on ${g.dayAndTime(at)}.`,
      closed: (at: number) => `It closed on ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `${student}’s quizzes`,
      toDo: 'To do',
      done: 'Handed in',
      nothing: 'Nothing is set for you right now.',
      opens: (at: number) => `opens ${g.dayAndTime(at)}`,
      until: (at: number) => `open until ${g.dayAndTime(at)}`,
      due: (at: number) => `due ${g.dayAndTime(at)}`,
      working: 'begun',
      locked: 'locked',
      closed: 'closed',
      results: 'results',
      noResults: 'no results yet',
      back: 'All my quizzes',
      away: 'There is no connection. What you answered is kept on this device. Try again in a moment.',
      receipt: (code: string) => `Receipt ${code}. With it your teacher can see that this paper arrived.`,
      notHandedIn:
        'Not handed in yet: there is no connection. Your answers are kept on this device. Try again once you are connected.',
    },
    cover: {
      paperOf: (student: string) => `${student}’s paper`,
      size: (questions: number, points: Fraction, scaledTo: Fraction | null) =>
        `${g.count(questions, 'question', 'questions')}, ${pts(points)}${scaledTo ? `; your score is given out of ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Open until your teacher closes it.',
      until: (at: number) => `Open until ${g.dayAndTime(at)}.`,
      limit: (n: number) =>
        `You have ${minutes(n)} from when you begin, and the clock runs on when the page is closed.`,
      due: (at: number, grace: number) =>
        `Due ${g.dayAndTime(at)}${grace > 0 ? `, with ${minutes(grace)} more before it counts as late` : ''}.`,
      overdue: 'That has passed: what you hand in now is late.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Being late costs nothing.';
        const of = `of the ${ofPoints(rule.of)} points`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, ${g.percent(rule.cap)} at most`;
          return `Each ${rule.step} (or part of ${rule.step === 'hour' ? 'an hour' : 'a day'}) late costs ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} up to ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Late work loses part ${of}: ${rows.join(', ')}${after ? `, ${g.percent(after.share)} after that` : ''}.`;
      },
      often: (most: number | null, how: Counts) => `${often(most)}; ${counts[how]}.`,
      comingBack: 'Your answers are saved as you go: you can leave and come back on this device.',
      staying:
        'Your answers are saved as you go. Stay on this page until you hand in: if you leave it for two minutes, it is locked until your teacher unlocks it.',
      noGoingBack: 'You cannot go back: once you go on, the answers of a page stay as they are.',
      handInOnce: 'You can hand in only once.',
      handInLast: 'You hand in on the last page.',
      changeOnce: 'You can change them until you hand in. You can hand in only once.',
      change: 'You can change them until you hand in.',
      taken: 'Anything not handed in by closing time will be collected as it is.',
      notCounted: 'Anything not handed in by closing time does not count.',
      expected: 'What is expected',
      from: (share: Fraction) => `from ${g.percent(share)}`,
      whenResults: 'When results come',
      begin: 'Begin',
      beginFailed:
        'The quiz could not be started: this device may have no room left. Nothing is lost. Free some space and press Begin again.',
      noQuestions: 'This quiz has no questions yet.',
    },
    work: {
      until: (at: number) => `until ${g.dayAndTime(at)}`,
      due: (at: number) => `due ${g.dayAndTime(at)}`,
      lateSince: (at: number) => `late since ${g.dayAndTime(at)}`,
      minutesLeft: (n: number) => `${minutes(n)} left`,
      secondsLeft: (n: number) => `${g.count(n, 'second', 'seconds')} left`,
      soon: 'Less than five minutes are left.',
      last: 'The last minute.',
      soonTaken: 'What you have answered is saved, and will be handed in automatically at the end.',
      soonNotTaken: 'Hand in before the end: what is not handed in by then does not count.',
      pages: 'Questions',
      back: 'Back',
      next: 'Next',
      review: 'Review and hand in',
      cannotGoBack: 'You cannot go back.',
      goingOn: 'Going on…',
      mustFirst: 'This must be answered before you go on.',
      stillHere: 'You are still on this page: it could not be left. Nothing is lost. Try again.',
      toRead: 'To read, nothing to answer',
      question: (n: number, of: number) => `Question ${n} of ${of}`,
      worth: (value: Fraction) => (value.n === 0 ? 'carries no points' : pts(value)),
      mustAny: 'must be answered',
      mustEvery: 'every part must be answered',
      onlyToRead: 'To read',
      questionAlone: (n: number) => `Question ${n}`,
      questionsFrom: (from: number, to: number) => `Questions ${from} to ${to}`,
      besides: 'For the next questions',
      newBeside: (name: string) => `New beside the questions: ${name}.`,
      show: 'Show',
      hide: 'Hide',
      checkHandedIn: 'Check whether my paper was handed in',
      earlier: (attempt: number) => `Results of attempt ${attempt}`,
      earlierFailed: 'An answer is not saved yet: try again in a moment.',
    },
    keep: {
      saving: 'Saving…',
      saved: (at: number) => `Saved on this device at ${g.time(at)}`,
      asYouGo: 'Your answers are saved as you go.',
      onPage: 'Kept on this page only',
      received: (at: number) => `Received at ${g.time(at)}`,
      unsent: (at: number) => `Saved on this device at ${g.time(at)}, not sent yet`,
      trouble: {
        closed: 'The quiz has closed. Everything saved before then is safe.',
        locked:
          'Your paper is locked, as the page was left. The answer is still here, and is saved once it is unlocked.',
        handedIn: 'This paper has been handed in already, perhaps in another tab.',
        storage:
          'This device can’t save your answer: its storage is full or blocked. The answer is still on this page; free some space and keep typing.',
        passed: 'You have gone on from this page: its answers stay as they were.',
        missing: 'A question that must be answered has no answer yet.',
        unknown: 'This answer could not be saved. It is still on this page.',
      },
    },
    hints: {
      all: 'Hints',
      one: 'Hint',
      numbered: (n: number) => `Hint ${n}`,
      show: (price: Fraction) => `Show a hint (${price.n === 0 ? 'costs nothing' : `costs ${pts(price)}`})`,
      another: (price: Fraction) =>
        `Another hint (${price.n === 0 ? 'costs nothing' : `costs ${pts(price)}`})`,
      failed: 'The hint could not be shown. Nothing was deducted if it stays hidden. Try again.',
    },
    last: {
      ready: 'Ready to hand in?',
      allAnswered: (n: number) =>
        n === 1 ? 'The question is answered.' : `All ${n} questions are answered.`,
      missing: (n: number) => `${n} ${g.plural(n, 'question has', 'questions have')} no answer yet:`,
      begun: (n: number) => `${n} ${g.plural(n, 'question is', 'questions are')} answered only in part:`,
      noText: 'Question without text',
      must: (n: number) =>
        `Before you can hand in, ${g.plural(n, 'one question', `${n} questions`)} must be answered.`,
      once: 'You can hand in only once; after that nothing can be changed.',
      fixed: 'What is handed in cannot be changed afterwards.',
      handIn: 'Hand in',
      failed:
        'Not handed in: one of your answers could not be saved. Everything is still on this page. Try again.',
    },
    results: {
      of: (student: string) => `${student}’s results`,
      handedIn: (at: number) => `Handed in ${g.dayAndTime(at)}. It has been received.`,
      collected: (at: number, how: 'closed' | 'timeOver') =>
        `Collected automatically when ${how === 'closed' ? 'the quiz closed' : 'your time was over'}, ${g.dayAndTime(at)}. It has been received.`,
      handedInAt: (at: number) => `Handed in ${g.dayAndTime(at)}`,
      collectedAt: (at: number) => `Collected as it was, ${g.dayAndTime(at)}`,
      fromFile: 'From a file',
      attemptOf: (n: number, of: number) => `attempt ${n} of ${of}`,
      imported: 'Your teacher has imported your paper. It has been received.',
      cameAfter: (n: number) =>
        `${g.count(n, 'answer', 'answers')} came after the end. Your teacher sees this and decides.`,
      tooLate: 'It arrived after the quiz had closed, so it doesn’t count unless your teacher accepts it.',
      voided: 'Your teacher does not count this attempt.',
      attempts: 'Attempts',
      attempt: (n: number) => `Attempt ${n}`,
      goOn: (n: number) => `Continue attempt ${n}`,
      again: 'Take the quiz again',
      againFailed:
        'The quiz could not be started: this device may have no room left. Nothing is lost. Try again.',
      question: (n: number) => `Question ${n}`,
      soOften: (most: number | null, done: number, how: Counts) =>
        `${often(most)}${most === null ? '' : `, and have done so ${times(done)}`}; ${counts[how]}.`,
      recorded: (score: Fraction, outOf: Fraction, waiting: Fraction, how: Counts) =>
        `Recorded: ${g.points(score)} of ${g.points(outOf)}${waiting.n > 0 ? ` so far (${g.points(waiting)} not marked yet)` : ''}, as ${counts[how]}.`,
      score: (earned: Fraction, outOf: Fraction) => `${g.points(earned)} of ${g.points(outOf)}`,
      waiting: (waiting: Fraction) => `${g.points(waiting)} not marked yet`,
      soFar: (waiting: Fraction) => `so far, ${g.points(waiting)} not marked yet`,
      late: (before: Fraction, share: Fraction, of: LateOf) =>
        `${g.points(before)}, minus ${g.percent(share)} of the points ${ofPoints(of)} for handing in late`,
      classDid: (
        papers: number,
        figures: readonly [mean: number, lower: number, median: number, upper: number],
        outOf: Fraction,
      ) =>
        `The class, ${g.count(papers, 'paper', 'papers')}: average ${g.decimal(figures[0])}, median ${g.decimal(figures[2])}, half the class scored ${g.decimal(figures[1])} to ${g.decimal(figures[3])} of ${g.points(outOf)}.`,
      verdicts: {
        right: 'Right',
        partly: 'Partly right',
        wrong: 'Not right',
        waits: 'Not marked yet',
        blank: 'No answer',
        unmarked: '',
      },
      standings: {
        notMarked: 'carries no points',
        leftOut: 'excluded, carries no points',
        given: 'full points for everyone',
        givenToAnswered: 'full points for every answer',
        bonus: 'bonus',
      },
      hintsCost: (price: Fraction) => `, with ${pts(price)} off for hints`,
      errors: (n: number) => `, with points off for ${errors(n)}`,
      teacher: 'Your teacher',
      yourHint: 'Your hint',
      yourAnswer: 'Your answer',
      rightAnswer: 'Right answer',
      met: (n: number) => `your question ${n}`,
      noAnswer: 'no answer',
      or: 'or',
      given: {
        choices: 'To choose from',
        rows: 'To choose from in each row',
        order: 'To put in order',
        boxes: 'To sort',
        pairs: 'To match',
        picture: 'The picture',
        text: 'The text',
      },
      links: { read: 'Read', watch: 'Watch', practise: 'Practise' },
      said: {
        true: 'true',
        false: 'false',
        gone: 'an option that is no longer there',
        noBox: 'fits no box',
        noMatch: 'has no match',
      },
    },
    plan: {
      parts: {
        score: 'your score',
        rightWrong: 'what was right and wrong',
        questions: 'the questions',
        ownAnswers: 'your answers',
        feedback: 'feedback',
        rightAnswers: 'the right answers',
        comments: 'your teacher’s comments',
        classDid: 'how the class did',
      },
      list: g.list,
      before: (parts: string, when: string) => `${parts}: ${when}.`,
      after: (parts: string, when: string) => `${parts} will come ${when}.`,
      handedIn: 'as soon as you hand in',
      wait: (what: Wait, scope: Scope) => wait(what, scope)[0],
      waitAfter: (amount: number, unit: DelayUnit, what: Wait, scope: Scope) =>
        `${units[unit](amount)} after ${wait(what, scope)[1]}`,
      closed: 'when the quiz has closed',
      on: (at: number, closing: string | null, latest: boolean) =>
        `on ${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}${latest ? ' at the latest' : ''}`,
    },
    media: {
      picture: 'Picture',
      sound: 'Sound',
      video: 'Video',
      cannotPlay: (name: string) => `${name}: this cannot be played here. Reload the page to try again.`,
      saidIn: 'What is said',
      saidAndShown: 'What is said and shown',
    },
    picking: {
      clear: 'Clear my answer',
      clearRow: 'Clear',
      clearOf: (row: string) => `Clear my answer to ${row}`,
      cleared: 'Your answer is cleared.',
      several: 'Tick every one that fits.',
      severalRow: 'tick every one that fits',
      true: 'True',
      false: 'False',
    },
    pairing: {
      how: 'Choose what belongs to each one.',
      howNone: 'Choose what belongs to each one; some belong to none.',
      choose: 'choose',
      none: 'has no match',
      which: (name: string) => `What belongs to ${name}?`,
      taken: (name: string) => `${name} has no match chosen any more.`,
    },
    sorting: {
      none: 'Fits no box',
      toSort: 'To be sorted',
      sorted: 'Everything is sorted',
      how: 'Press one and choose its box, or drag it there.',
      unsorted: 'not sorted yet',
      which: (name: string) => `Where does ${name} belong?`,
      takeOut: 'take it out',
      taken: (name: string) => `${name} is not sorted any more.`,
    },
    filling: {
      gap: (n: number) => `Gap ${n}`,
      bank: 'Words for the gaps. Press one to put it into the next empty gap.',
      filled: (word: string, n: number) => `${word} is in gap ${n}.`,
    },
    ordering: {
      up: (name: string, at: number, of: number) => `Move ${name} up, now ${at} of ${of}`,
      down: (name: string, at: number, of: number) => `Move ${name} down, now ${at} of ${of}`,
      now: (name: string, at: number, of: number) => `${name} is now ${at} of ${of}.`,
      how: 'Drag the items, or use their arrows.',
      untouched: 'Nothing is answered until you move one.',
      leave: 'Leave them in this order',
      left: 'This order is your answer.',
    },
    spotting: {
      one: 'Press the place on the picture.',
      several: (n: number, left: number | null) =>
        `Press ${n} places on the picture${left === null ? '' : `; ${left} to go`}.`,
      noPicture: 'The picture is missing. Tell your teacher.',
      spot: (n: number) => `Spot ${n}`,
      at: (x: string, y: string) => `${x} from the left, ${y} from the top`,
      how: 'Drag it, or move it with the arrow keys',
      byKeys: 'Set a spot with the keyboard',
      take: (n: number) => `Take spot ${n} away`,
      taken: (n: number) => `Spot ${n} is taken away.`,
    },
    writing: {
      words: (n: number) => g.count(n, 'word', 'words'),
      wordsOf: (n: number, most: number) => `${n} of at most ${g.count(most, 'word', 'words')}`,
      over: (n: number) => `${g.count(n, 'word', 'words')} too many`,
      marked: 'Your teacher marks this answer.',
      letters: 'Special letters',
      letter: (letter: string) => `Write ${letter}`,
      capitals: 'Capitals',
    },
  };
};

/** Everything that students are told, in whatever language. */
export type Told = ReturnType<typeof en>;
