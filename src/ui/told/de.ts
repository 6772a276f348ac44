import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in German. */
export const de = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'Punkt', 'Punkte')}`;
  const ptsDat = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'Punkt', 'Punkten')}`;
  const minutes = (n: number) => g.count(n, 'Minute', 'Minuten');
  const times = (n: number) => ['nie', 'einmal', 'zweimal'][n] ?? `${n}-mal`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'Stunde', 'Stunden'),
    day: (n) => g.count(n, 'Tag', 'Tage'),
  };
  const daysDat = (unit: DelayUnit, n: number) =>
    unit === 'day' ? g.count(n, 'Tag', 'Tagen') : units[unit](n);
  const whose = (scope: Scope) =>
    ({ all: 'alle', class: 'alle in deiner Klasse', group: 'alle in deiner Gruppe' })[scope];
  const haben = (scope: Scope) => `${whose(scope)} abgegeben haben oder die Zeit um ist`;
  const counts: Readonly<Record<Counts, string>> = {
    best: 'dein bester Versuch zählt',
    latest: 'dein letzter Versuch zählt',
    first: 'dein erster Versuch zählt',
    mean: 'der Durchschnitt deiner Versuche zählt',
  };
  const often = (most: number | null) =>
    most === null
      ? 'Du kannst dieses Quiz so oft machen, wie du willst'
      : `Du kannst dieses Quiz ${times(most)} machen`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['sobald du abgibst', 'deiner Abgabe'],
      closed: ['wenn deine Lehrkraft das Quiz schließt', 'dem Ende des Quiz für dich'],
      allClosed: [
        `wenn das Quiz für ${whose(scope)} geschlossen ist`,
        `dem Ende des Quiz für ${whose(scope)}`,
      ],
      allDone: [`wenn ${haben(scope)}`, `dem Zeitpunkt, zu dem ${haben(scope)}`],
      date: ['zu einem festen Zeitpunkt', 'einem festen Zeitpunkt'],
      marked: ['wenn alles bewertet ist', 'der Bewertung von allem'],
      lastAttempt: ['nach deinem letzten Versuch', 'deinem letzten Versuch'],
      byTeacher: ['wenn deine Lehrkraft es zeigt', 'der Freigabe durch deine Lehrkraft'],
      takenBack: ['wenn deine Lehrkraft es wieder zeigt', 'der neuen Freigabe durch deine Lehrkraft'],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'erreichten' : 'möglichen');
  const price = (value: Fraction) => (value.n === 0 ? 'kostet nichts' : `kostet ${pts(value)}`);
  return {
    again: 'Noch einmal versuchen',
    page: {
      loading: 'Deine Arbeit wird geladen …',
      cannotOpen: 'Deine Arbeit lässt sich hier nicht öffnen',
      cannotOpenWhy:
        'Nichts von dir ist verloren. Versuch es noch einmal. Wenn das nicht hilft, öffne die Adresse in einem gewöhnlichen Fenster oder in einem anderen Browser.',
      handedIn: 'Abgegeben',
      timeOver: 'Die Zeit ist um',
      restToCome:
        'Alles Gespeicherte bleibt erhalten. Was jetzt kommt, konnte nicht geladen werden. Versuch es gleich noch einmal.',
      nothingHandedIn: (outOf) => `Du hast 0 von ${ptsDat(outOf)}, weil nichts abgegeben wurde.`,
      noPaper: 'Unter dieser Adresse gibt es keine Arbeit',
      noPaperWhy: 'Prüf die Adresse mit deiner Lehrkraft. Nichts von dir ist verloren.',
      takenBack:
        'Deine Lehrkraft hat das Quiz vorerst zurückgenommen. Deine Antworten bleiben erhalten, und deine Zeit steht still. Diese Seite geht von selbst weiter.',
      notOpen: 'Dieses Quiz ist nicht geöffnet. Frag deine Lehrkraft, wann es so weit ist.',
      opens: (at) => `Es öffnet am ${g.dayAndTime(at)}. Diese Seite öffnet es dann von selbst.`,
      locked:
        'Diese Seite wurde länger als zwei Minuten verlassen, deshalb ist deine Arbeit gesperrt. Deine Antworten bleiben erhalten. Bitte deine Lehrkraft, sie zu entsperren. Danach geht diese Seite von selbst weiter.',
      notHandedIn:
        'Das Quiz ist geschlossen. Was nicht abgegeben wurde, zählt bei diesem Quiz nicht. Frag deine Lehrkraft.',
      lockedNow: 'Diese Seite ist vorerst gesperrt.',
      unlocked: 'Deine Arbeit ist entsperrt. Mach weiter.',
      stopped: 'Diese Seite funktioniert nicht mehr',
      stoppedWhy: 'Was du bisher geantwortet hast, ist auf diesem Gerät gespeichert.',
    },
    ticket: {
      title: 'Dein Ticket',
      how: 'Gib die 8 Zeichen deines Tickets ein. Großbuchstaben und der Strich sind egal.',
      label: 'Ticket',
      go: 'Weiter',
      empty: 'Gib zuerst dein Ticket ein.',
      strange: (sign: string) => `„${sign}“ kommt in keinem Ticket vor. Sieh noch einmal nach.`,
      length: (n: number) => `Ein Ticket hat 8 Zeichen, dieses hat ${n}.`,
      slip: 'Eines der Zeichen stimmt nicht. Sieh noch einmal auf deinem Ticket nach.',
      nobodys: 'Dieses Ticket hat niemand. Sieh noch einmal nach oder frag deine Lehrkraft.',
      other: 'Ein anderes Ticket verwenden',
      mine: (ticket: string) => `Ticket ${ticket}`,
    },
    file: {
      what: 'Dieses Quiz ist eine Datei: Es sendet nichts. Am Ende speicherst du deine Antworten und gibst sie deiner Lehrkraft.',
      noScripts:
        'Dieses Quiz ist eine Datei, die einen Browser braucht. Siehst du nur diesen Text, öffne die Datei in einem Browser oder frag deine Lehrkraft nach einem anderen Weg.',
      clock: 'Alle Zeiten sind die dieses Geräts.',
      noHints: 'Tipps gibt es in dieser Datei nicht.',
      results: 'Deine Ergebnisse bekommst du von deiner Lehrkraft.',
      asOften: 'Du kannst deine Antworten ändern und wieder speichern: Die neuesten zählen.',
      once: 'Ist deine Zeit vorbei, kannst du nicht mehr zu deinen Antworten zurück.',
      notKept:
        'Dieser Browser behält bei Dateien nichts. Deine Antworten stehen nur auf dieser Seite: Speichere sie, bevor du sie schließt.',
      review: 'Durchsehen und speichern',
      ready: 'Bereit, deine Antworten zu speichern?',
      save: 'Meine Antworten speichern',
      failed:
        'Sie konnten nicht gespeichert werden. Auf dieser Seite ist noch alles da. Versuch es noch einmal oder kopiere sie als Text.',
      yours: 'Deine Antworten',
      saved: (file: string) => `Gespeichert als Datei ${file}. Gib diese Datei deiner Lehrkraft.`,
      over: 'Die Zeit ist vorbei. Speichere deine Antworten und gib sie deiner Lehrkraft.',
      notSaved: 'Sie sind noch nicht als Datei gespeichert.',
      again: 'Noch einmal speichern',
      copy: 'Als Text kopieren',
      copied: 'Kopiert. Füge den Text in eine Nachricht an deine Lehrkraft ein.',
      text: 'Deine Antworten als Text',
      select:
        'Dieser Browser kopiert nicht. Markiere diesen Text, kopiere ihn und schick ihn deiner Lehrkraft.',
      back: 'Zurück zu meinen Antworten',
      opens: (at: number) => `Es öffnet am ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Es wurde am ${g.dayAndTime(at)} geschlossen.`,
    },
    own: {
      title: (student: string) => `Quiz von ${student}`,
      toDo: 'Zu erledigen',
      done: 'Abgegeben',
      nothing: 'Im Moment gibt es für dich nichts zu tun.',
      opens: (at: number) => `öffnet ${g.dayAndTime(at)}`,
      until: (at: number) => `offen bis ${g.dayAndTime(at)}`,
      due: (at: number) => `fällig ${g.dayAndTime(at)}`,
      working: 'begonnen',
      locked: 'gesperrt',
      closed: 'geschlossen',
      results: 'Ergebnisse',
      noResults: 'noch keine Ergebnisse',
      back: 'Alle meine Quiz',
      away: 'Es gibt keine Verbindung. Was du geantwortet hast, bleibt auf diesem Gerät. Versuch es gleich noch einmal.',
      receipt: (code: string) =>
        `Quittung ${code}. Damit kann deine Lehrkraft sehen, dass diese Arbeit angekommen ist.`,
      notHandedIn:
        'Noch nicht abgegeben: Es gibt keine Verbindung. Deine Antworten bleiben auf diesem Gerät. Versuch es noch einmal, sobald du verbunden bist.',
    },
    cover: {
      paperOf: (student) => `Arbeit von ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'Frage', 'Fragen')}, ${pts(points)}${scaledTo ? `; dein Ergebnis wird von ${ptsDat(scaledTo)} angegeben` : ''}.`,
      untilClosed: 'Offen, bis deine Lehrkraft es schließt.',
      until: (at) => `Offen bis ${g.dayAndTime(at)}.`,
      limit: (n) =>
        `Du hast ${minutes(n)} Zeit, sobald du anfängst. Die Uhr läuft weiter, auch wenn die Seite geschlossen ist.`,
      due: (at, grace) =>
        `Abgabe bis ${g.dayAndTime(at)}${grace > 0 ? `, und ${minutes(grace)} länger, bevor es als verspätet zählt` : ''}.`,
      overdue: 'Das ist vorbei: Was du jetzt abgibst, ist verspätet.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Verspätung kostet nichts.';
        const of = `der ${ofPoints(rule.of)} Punkte`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, höchstens ${g.percent(rule.cap)}`;
          return `${rule.step === 'hour' ? 'Jede angefangene Stunde' : 'Jeder angefangene Tag'} Verspätung kostet ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} bis ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Verspätete Arbeiten verlieren einen Teil ${of}: ${rows.join(', ')}${after ? `, danach ${g.percent(after.share)}` : ''}.`;
      },
      often: (most, how) => `${often(most)}; ${counts[how]}.`,
      comingBack:
        'Deine Antworten werden laufend gespeichert: Du kannst weggehen und auf diesem Gerät weitermachen.',
      staying:
        'Deine Antworten werden laufend gespeichert. Bleib auf dieser Seite, bis du abgibst: Wenn du sie zwei Minuten lang verlässt, ist sie gesperrt, bis deine Lehrkraft sie entsperrt.',
      noGoingBack:
        'Du kannst nicht zurück: Sobald du weitergehst, bleiben die Antworten einer Seite, wie sie sind.',
      handInOnce: 'Du kannst nur einmal abgeben.',
      handInLast: 'Abgegeben wird auf der letzten Seite.',
      changeOnce: 'Bis zur Abgabe kannst du sie ändern. Du kannst nur einmal abgeben.',
      change: 'Bis zur Abgabe kannst du sie ändern.',
      taken: 'Was bis zum Ende nicht abgegeben ist, wird so eingesammelt, wie es ist.',
      notCounted: 'Was bis zum Ende nicht abgegeben ist, zählt nicht.',
      expected: 'Was erwartet wird',
      from: (share) => `ab ${g.percent(share)}`,
      whenResults: 'Wann die Ergebnisse kommen',
      begin: 'Anfangen',
      beginFailed:
        'Das Quiz konnte nicht begonnen werden: Vielleicht ist auf diesem Gerät kein Platz mehr. Nichts ist verloren. Mach etwas Platz frei und drück noch einmal auf „Anfangen“.',
      noQuestions: 'Dieses Quiz hat noch keine Fragen.',
    },
    work: {
      until: (at) => `bis ${g.dayAndTime(at)}`,
      due: (at) => `Abgabe bis ${g.dayAndTime(at)}`,
      lateSince: (at) => `verspätet seit ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `noch ${minutes(n)}`,
      secondsLeft: (n) => `noch ${g.count(n, 'Sekunde', 'Sekunden')}`,
      soon: 'Noch weniger als fünf Minuten.',
      last: 'Die letzte Minute.',
      soonTaken: 'Deine Antworten sind gespeichert und werden am Ende von selbst abgegeben.',
      soonNotTaken: 'Gib vor dem Ende ab: Was bis dahin nicht abgegeben ist, zählt nicht.',
      pages: 'Fragen',
      back: 'Zurück',
      next: 'Weiter',
      review: 'Prüfen und abgeben',
      cannotGoBack: 'Du kannst nicht zurück.',
      goingOn: 'Es geht weiter …',
      mustFirst: 'Das muss beantwortet sein, bevor du weitergehst.',
      stillHere:
        'Du bist noch auf dieser Seite: Sie konnte nicht verlassen werden. Nichts ist verloren. Versuch es noch einmal.',
      toRead: 'Zum Lesen, ohne Antwort',
      question: (n, of) => `Frage ${n} von ${of}`,
      worth: (value) => (value.n === 0 ? 'ohne Punkte' : pts(value)),
      mustAny: 'muss beantwortet werden',
      mustEvery: 'jeder Teil muss beantwortet werden',
      onlyToRead: 'Zum Lesen',
      questionAlone: (n) => `Frage ${n}`,
      questionsFrom: (from, to) => `Fragen ${from} bis ${to}`,
      besides: 'Zu den nächsten Fragen',
      newBeside: (name) => `Neu neben den Fragen: ${name}.`,
      show: 'Zeigen',
      hide: 'Ausblenden',
      checkHandedIn: 'Nachsehen, ob meine Arbeit abgegeben ist',
      earlier: (attempt) => `Ergebnis von Versuch ${attempt}`,
      earlierFailed: 'Eine Antwort ist noch nicht gespeichert. Versuch es gleich noch einmal.',
    },
    keep: {
      saving: 'Wird gespeichert …',
      saved: (at) => `Um ${g.time(at)} auf diesem Gerät gespeichert`,
      asYouGo: 'Deine Antworten werden laufend auf diesem Gerät gespeichert.',
      onPage: 'Nur auf dieser Seite',
      received: (at: number) => `Angekommen um ${g.time(at)}`,
      unsent: (at: number) => `Um ${g.time(at)} auf diesem Gerät gespeichert, noch nicht gesendet`,
      trouble: {
        closed: 'Das Quiz ist geschlossen. Alles, was vorher gespeichert wurde, ist sicher.',
        locked:
          'Deine Arbeit ist gesperrt, weil die Seite verlassen wurde. Die Antwort ist noch da und wird gespeichert, sobald sie entsperrt ist.',
        handedIn: 'Diese Arbeit ist schon abgegeben, vielleicht in einem anderen Tab.',
        storage:
          'Dieses Gerät kann deine Antwort nicht speichern: Der Speicher ist voll oder gesperrt. Die Antwort steht noch auf dieser Seite. Mach etwas Platz frei und schreib weiter.',
        passed: 'Du hast diese Seite verlassen: Ihre Antworten bleiben, wie sie waren.',
        missing: 'Eine Frage, die beantwortet werden muss, hat noch keine Antwort.',
        unknown: 'Diese Antwort konnte nicht gespeichert werden. Sie steht noch auf dieser Seite.',
      },
    },
    hints: {
      all: 'Tipps',
      one: 'Tipp',
      numbered: (n) => `Tipp ${n}`,
      show: (value) => `Tipp zeigen (${price(value)})`,
      another: (value) => `Noch ein Tipp (${price(value)})`,
      failed:
        'Der Tipp konnte nicht gezeigt werden. Solange er nicht zu sehen ist, wurde nichts abgezogen. Versuch es noch einmal.',
    },
    last: {
      ready: 'Bereit zum Abgeben?',
      allAnswered: (n) => (n === 1 ? 'Die Frage ist beantwortet.' : `Alle ${n} Fragen sind beantwortet.`),
      missing: (n) => `${n} ${g.plural(n, 'Frage hat', 'Fragen haben')} noch keine Antwort:`,
      begun: (n) => `${n} ${g.plural(n, 'Frage ist', 'Fragen sind')} erst zum Teil beantwortet:`,
      noText: 'Frage ohne Text',
      must: (n) =>
        `Bevor du abgeben kannst, ${g.plural(n, 'muss eine Frage', `müssen ${n} Fragen`)} beantwortet werden.`,
      once: 'Du kannst nur einmal abgeben; danach lässt sich nichts mehr ändern.',
      fixed: 'Was abgegeben ist, lässt sich nicht mehr ändern.',
      handIn: 'Abgeben',
      failed:
        'Nicht abgegeben: Eine deiner Antworten konnte nicht gespeichert werden. Alles steht noch auf dieser Seite. Versuch es noch einmal.',
    },
    results: {
      of: (student) => `Ergebnis von ${student}`,
      handedIn: (at) => `Abgegeben ${g.dayAndTime(at)}. Die Arbeit ist angekommen.`,
      collected: (at, how) =>
        `Von selbst eingesammelt, als ${how === 'closed' ? 'das Quiz schloss' : 'deine Zeit um war'}, ${g.dayAndTime(at)}. Die Arbeit ist angekommen.`,
      handedInAt: (at) => `Abgegeben ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Eingesammelt, wie es war, ${g.dayAndTime(at)}`,
      fromFile: 'Aus einer Datei',
      attemptOf: (n, of) => `Versuch ${n} von ${of}`,
      imported: 'Deine Lehrkraft hat deine Arbeit eingelesen. Sie ist angekommen.',
      cameAfter: (n) =>
        `${g.count(n, 'Antwort kam', 'Antworten kamen')} erst nach dem Ende an. Deine Lehrkraft sieht das und entscheidet.`,
      tooLate:
        'Sie kam an, als das Quiz schon geschlossen war, und zählt deshalb nur, wenn deine Lehrkraft sie annimmt.',
      voided: 'Deine Lehrkraft zählt diesen Versuch nicht.',
      attempts: 'Versuche',
      attempt: (n) => `Versuch ${n}`,
      goOn: (n) => `Mit Versuch ${n} weitermachen`,
      again: 'Das Quiz noch einmal machen',
      againFailed:
        'Das Quiz konnte nicht begonnen werden: Vielleicht ist auf diesem Gerät kein Platz mehr. Nichts ist verloren. Versuch es noch einmal.',
      question: (n) => `Frage ${n}`,
      soOften: (most, done, how) =>
        `${often(most)}${most === null ? '' : ` und hast es ${times(done)} gemacht`}; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Gewertet: ${g.points(score)} von ${g.points(outOf)}${waiting.n > 0 ? ` bisher (${g.points(waiting)} noch nicht bewertet)` : ''}; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} von ${g.points(outOf)}`,
      waiting: (waiting) => `${g.points(waiting)} noch nicht bewertet`,
      soFar: (waiting) => `bisher; ${g.points(waiting)} noch nicht bewertet`,
      late: (before, share, of) =>
        `${g.points(before)}, minus ${g.percent(share)} der ${ofPoints(of)} Punkte wegen verspäteter Abgabe`,
      classDid: (papers, figures, outOf) =>
        `Die Klasse, ${g.count(papers, 'Arbeit', 'Arbeiten')}: Durchschnitt ${g.decimal(figures[0])}, Median ${g.decimal(figures[2])}, die Hälfte der Klasse hat ${g.decimal(figures[1])} bis ${g.decimal(figures[3])} von ${g.points(outOf)}.`,
      verdicts: {
        right: 'Richtig',
        partly: 'Teilweise richtig',
        wrong: 'Nicht richtig',
        waits: 'Noch nicht bewertet',
        blank: 'Keine Antwort',
        unmarked: '',
      },
      standings: {
        notMarked: 'ohne Punkte',
        leftOut: 'gestrichen, ohne Punkte',
        given: 'volle Punkte für alle',
        givenToAnswered: 'volle Punkte für jede Antwort',
        bonus: 'Zusatzpunkte',
      },
      hintsCost: (value) => `, ${pts(value)} Abzug für Tipps`,
      errors: (n) => `, mit Abzug für ${g.count(n, 'Tippfehler', 'Tippfehler')}`,
      teacher: 'Deine Lehrkraft',
      yourHint: 'Dein Tipp',
      yourAnswer: 'Deine Antwort',
      rightAnswer: 'Richtige Antwort',
      met: (n) => `deine Frage ${n}`,
      noAnswer: 'keine Antwort',
      or: 'oder',
      given: {
        choices: 'Zur Auswahl',
        rows: 'Zur Auswahl in jeder Zeile',
        order: 'Zum Ordnen',
        boxes: 'Zum Einsortieren',
        pairs: 'Zum Zuordnen',
        picture: 'Das Bild',
        text: 'Der Text',
      },
      links: { read: 'Lesen', watch: 'Ansehen', practise: 'Üben' },
      said: {
        true: 'wahr',
        false: 'falsch',
        gone: 'eine Möglichkeit, die es nicht mehr gibt',
        noBox: 'passt in kein Fach',
        noMatch: 'passt zu nichts',
      },
    },
    plan: {
      parts: {
        score: 'dein Ergebnis',
        rightWrong: 'was richtig und falsch war',
        questions: 'die Fragen',
        ownAnswers: 'deine Antworten',
        feedback: 'Rückmeldungen',
        rightAnswers: 'die richtigen Antworten',
        comments: 'Kommentare deiner Lehrkraft',
        classDid: 'wie die Klasse abgeschnitten hat',
      },
      list: g.list,
      before: (parts, when) => `${parts}: ${when}.`,
      after: (parts, when) => `Noch zu erwarten – ${parts}: ${when}.`,
      handedIn: 'sobald du abgibst',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${daysDat(unit, amount)} nach ${wait(what, scope)[1]}`,
      closed: 'wenn das Quiz geschlossen ist',
      on: (at, closing, latest) =>
        `${latest ? 'spätestens ' : ''}am ${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}`,
    },
    media: {
      picture: 'Bild',
      sound: 'Ton',
      video: 'Video',
      cannotPlay: (name) =>
        `${name}: Das lässt sich hier nicht abspielen. Lade die Seite neu und versuch es noch einmal.`,
      saidIn: 'Was gesagt wird',
      saidAndShown: 'Was gesagt und gezeigt wird',
    },
    picking: {
      clear: 'Meine Antwort löschen',
      clearRow: 'Löschen',
      clearOf: (row) => `Meine Antwort zu „${row}“ löschen`,
      cleared: 'Deine Antwort ist gelöscht.',
      several: 'Kreuze alles an, was passt.',
      severalRow: 'alles ankreuzen, was passt',
      true: 'Wahr',
      false: 'Falsch',
    },
    pairing: {
      how: 'Wähle, was jeweils dazugehört.',
      howNone: 'Wähle, was jeweils dazugehört; manches gehört zu nichts.',
      choose: 'auswählen',
      none: 'passt zu nichts',
      which: (name) => `Was gehört zu „${name}“?`,
      taken: (name) => `„${name}“ ist nichts mehr zugeordnet.`,
    },
    sorting: {
      none: 'Passt in kein Fach',
      toSort: 'Noch zu sortieren',
      sorted: 'Alles ist einsortiert',
      how: 'Drück auf etwas und wähle sein Fach, oder zieh es dorthin.',
      unsorted: 'noch nicht einsortiert',
      which: (name) => `Wohin gehört „${name}“?`,
      takeOut: 'herausnehmen',
      taken: (name) => `„${name}“ ist nicht mehr einsortiert.`,
    },
    filling: {
      gap: (n) => `Lücke ${n}`,
      bank: 'Wörter für die Lücken. Ein Druck setzt ein Wort in die nächste leere Lücke.',
      filled: (word, n) => `„${word}“ steht in Lücke ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `„${name}“ nach oben, jetzt ${at} von ${of}`,
      down: (name, at, of) => `„${name}“ nach unten, jetzt ${at} von ${of}`,
      now: (name, at, of) => `„${name}“ ist jetzt ${at} von ${of}.`,
      how: 'Zieh die Teile, oder benutze ihre Pfeile.',
      untouched: 'Solange du nichts bewegst, ist nichts beantwortet.',
      leave: 'So lassen, wie es ist',
      left: 'Diese Reihenfolge ist deine Antwort.',
    },
    spotting: {
      one: 'Drück auf die Stelle im Bild.',
      several: (n, left) =>
        `Drück auf ${n} Stellen im Bild${left === null ? '' : `; es fehlen noch ${left}`}.`,
      noPicture: 'Das Bild fehlt. Sag es deiner Lehrkraft.',
      spot: (n) => `Punkt ${n}`,
      at: (x, y) => `${x} von links, ${y} von oben`,
      how: 'Zieh ihn, oder bewege ihn mit den Pfeiltasten',
      byKeys: 'Einen Punkt mit der Tastatur setzen',
      take: (n) => `Punkt ${n} wegnehmen`,
      taken: (n) => `Punkt ${n} ist weg.`,
    },
    writing: {
      words: (n) => g.count(n, 'Wort', 'Wörter'),
      wordsOf: (n, most) => `${n} von höchstens ${g.count(most, 'Wort', 'Wörtern')}`,
      over: (n) => `${g.count(n, 'Wort', 'Wörter')} zu viel`,
      marked: 'Deine Lehrkraft bewertet diese Antwort.',
      letters: 'Besondere Buchstaben',
      letter: (letter) => `${letter} schreiben`,
      capitals: 'Großbuchstaben',
    },
  };
};
