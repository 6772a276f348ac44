import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in Dutch. */
export const nl = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'punt', 'punten')}`;
  const minutes = (n: number) => g.count(n, 'minuut', 'minuten');
  const times = (n: number) => ['nooit', 'één keer', 'twee keer'][n] ?? `${n} keer`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'uur', 'uur'),
    day: (n) => g.count(n, 'dag', 'dagen'),
  };
  const whose = (scope: Scope) =>
    ({ all: 'iedereen', class: 'iedereen in je klas', group: 'iedereen in je groep' })[scope];
  const counts: Readonly<Record<Counts, string>> = {
    best: 'je beste poging telt',
    latest: 'je laatste poging telt',
    first: 'je eerste poging telt',
    mean: 'het gemiddelde van je pogingen telt',
  };
  const often = (most: number | null) =>
    most === null ? 'Je kunt deze quiz zo vaak maken als je wilt' : `Je kunt deze quiz ${times(most)} maken`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['zodra je inlevert', 'je inlevert'],
      closed: ['als je docent de quiz sluit', 'de quiz voor jou gesloten is'],
      allClosed: [`als de quiz voor ${whose(scope)} gesloten is`, `de quiz voor ${whose(scope)} gesloten is`],
      allDone: [
        `als ${whose(scope)} heeft ingeleverd of de tijd om is`,
        `${whose(scope)} heeft ingeleverd of de tijd om is`,
      ],
      date: ['op een vast tijdstip', 'een vast tijdstip'],
      marked: ['als alles is nagekeken', 'alles is nagekeken'],
      lastAttempt: ['na je laatste poging', 'je laatste poging klaar is'],
      byTeacher: ['als je docent het laat zien', 'je docent het laat zien'],
      takenBack: ['als je docent het weer laat zien', 'je docent het weer laat zien'],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'behaalde' : 'mogelijke');
  const price = (value: Fraction) => (value.n === 0 ? 'kost niets' : `kost ${pts(value)}`);
  return {
    again: 'Opnieuw proberen',
    page: {
      loading: 'Je werk wordt geladen…',
      cannotOpen: 'Je werk kan hier niet worden geopend',
      cannotOpenWhy:
        'Er is niets van je verloren. Probeer het opnieuw; helpt dat niet, open het adres dan in een gewoon venster of in een andere browser.',
      handedIn: 'Ingeleverd',
      timeOver: 'De tijd is om',
      restToCome:
        'Alles wat is opgeslagen blijft bewaard. Wat nu komt kon niet worden geladen: probeer het zo nog eens.',
      nothingHandedIn: (outOf) => `Je hebt 0 van ${pts(outOf)}, omdat er niets is ingeleverd.`,
      noPaper: 'Op dit adres is geen werk',
      noPaperWhy: 'Controleer het adres met je docent. Er is niets van je verloren.',
      takenBack:
        'Je docent heeft de quiz voorlopig teruggenomen. Je antwoorden blijven bewaard en je tijd staat stil. Deze pagina gaat vanzelf verder.',
      notOpen: 'Deze quiz is niet open. Vraag je docent wanneer dat wel zo is.',
      opens: (at) => `Hij gaat open op ${g.dayAndTime(at)}. Deze pagina opent hem dan vanzelf.`,
      locked:
        'Deze pagina is langer dan twee minuten verlaten, daarom is je werk vergrendeld. Wat je had beantwoord blijft bewaard. Vraag je docent om het te ontgrendelen; daarna gaat deze pagina vanzelf verder.',
      notHandedIn:
        'De quiz is gesloten. Werk dat niet is ingeleverd telt niet voor deze quiz. Vraag het je docent.',
      lockedNow: 'Deze pagina is voorlopig vergrendeld.',
      unlocked: 'Je werk is ontgrendeld. Ga verder.',
      stopped: 'Deze pagina werkt niet meer',
      stoppedWhy: 'Wat je tot nu toe hebt beantwoord is op dit apparaat opgeslagen.',
    },
    ticket: {
      title: 'Je ticket',
      how: 'Typ de 8 tekens van je ticket. Hoofdletters en het streepje maken niet uit.',
      label: 'Ticket',
      go: 'Verder',
      empty: 'Typ eerst je ticket.',
      strange: (sign: string) => `Er staat geen ‘${sign}’ in een ticket. Kijk nog eens naar het jouwe.`,
      length: (n: number) => `Een ticket heeft 8 tekens, dit heeft er ${n}.`,
      slip: 'Een van de tekens klopt niet. Kijk nog eens naar je ticket.',
      nobodys: 'Niemand heeft dit ticket. Kijk nog eens naar het jouwe, of vraag het aan je docent.',
      other: 'Een ander ticket gebruiken',
      mine: (ticket: string) => `Ticket ${ticket}`,
    },
    file: {
      what: 'Deze quiz is een bestand: er wordt niets verstuurd. Aan het eind sla je je antwoorden op en geef je ze aan je docent.',
      noScripts:
        'Deze quiz is een bestand dat een browser nodig heeft. Zie je alleen deze tekst, open het bestand dan in een browser, of vraag je docent om een andere manier.',
      clock: 'Alle tijden zijn die van dit apparaat.',
      noHints: 'Tips horen niet bij dit bestand.',
      results: 'Je krijgt je resultaten van je docent.',
      asOften: 'Je kunt je antwoorden veranderen en opnieuw opslaan: de laatste tellen.',
      once: 'Als je tijd om is, kun je niet meer terug naar je antwoorden.',
      notKept:
        'Deze browser bewaart niets voor bestanden. Je antwoorden staan alleen op deze pagina: sla ze op voordat je hem sluit.',
      review: 'Nakijken en opslaan',
      ready: 'Klaar om je antwoorden op te slaan?',
      save: 'Mijn antwoorden opslaan',
      failed:
        'Ze konden niet worden opgeslagen. Alles staat nog op deze pagina. Probeer het opnieuw, of kopieer ze als tekst.',
      yours: 'Je antwoorden',
      saved: (file: string) => `Opgeslagen als het bestand ${file}. Geef dit bestand aan je docent.`,
      over: 'De tijd is om. Sla je antwoorden op en geef ze aan je docent.',
      notSaved: 'Ze zijn nog niet als bestand opgeslagen.',
      again: 'Opnieuw opslaan',
      copy: 'Als tekst kopiëren',
      copied: 'Gekopieerd. Plak de tekst in een bericht aan je docent.',
      text: 'Je antwoorden als tekst',
      select: 'Deze browser kopieert niet. Selecteer deze tekst, kopieer hem en stuur hem naar je docent.',
      back: 'Terug naar mijn antwoorden',
      opens: (at: number) => `Hij gaat open op ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Hij is gesloten op ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `Quizzen van ${student}`,
      toDo: 'Te doen',
      done: 'Ingeleverd',
      nothing: 'Er staat nu niets voor je klaar.',
      opens: (at: number) => `gaat open op ${g.dayAndTime(at)}`,
      until: (at: number) => `open tot ${g.dayAndTime(at)}`,
      due: (at: number) => `inleveren voor ${g.dayAndTime(at)}`,
      working: 'begonnen',
      locked: 'vergrendeld',
      closed: 'gesloten',
      results: 'resultaten',
      noResults: 'nog geen resultaten',
      back: 'Al mijn quizzen',
      away: 'Er is geen verbinding. Wat je hebt geantwoord blijft op dit apparaat. Probeer het zo opnieuw.',
      receipt: (code: string) =>
        `Ontvangstbewijs ${code}. Daarmee kan je docent zien dat dit werk is aangekomen.`,
      notHandedIn:
        'Nog niet ingeleverd: er is geen verbinding. Je antwoorden blijven op dit apparaat. Probeer het opnieuw zodra je verbinding hebt.',
    },
    cover: {
      paperOf: (student) => `Werk van ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'vraag', 'vragen')}, ${pts(points)}${scaledTo ? `; je score is op ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Open totdat je docent hem sluit.',
      until: (at) => `Open tot ${g.dayAndTime(at)}.`,
      limit: (n) => `Je hebt ${minutes(n)} vanaf het begin, en de klok loopt door als de pagina dicht is.`,
      due: (at, grace) =>
        `Inleveren voor ${g.dayAndTime(at)}${grace > 0 ? `, met nog ${minutes(grace)} voordat het te laat is` : ''}.`,
      overdue: 'Dat is voorbij: wat je nu inlevert is te laat.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Te laat zijn kost niets.';
        const of = `van de ${ofPoints(rule.of)} punten`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, hoogstens ${g.percent(rule.cap)}`;
          return `${rule.step === 'hour' ? 'Elk begonnen uur' : 'Elke begonnen dag'} te laat kost ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} tot ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Te laat werk verliest een deel ${of}: ${rows.join(', ')}${after ? `, daarna ${g.percent(after.share)}` : ''}.`;
      },
      often: (most, how) => `${often(most)}; ${counts[how]}.`,
      comingBack: 'Je antwoorden worden steeds opgeslagen: je kunt weggaan en op dit apparaat terugkomen.',
      staying:
        'Je antwoorden worden steeds opgeslagen. Blijf op deze pagina tot je inlevert: als je hem twee minuten verlaat, is hij vergrendeld totdat je docent hem ontgrendelt.',
      noGoingBack:
        'Je kunt niet terug: zodra je verdergaat blijven de antwoorden van een pagina zoals ze zijn.',
      handInOnce: 'Je kunt maar één keer inleveren.',
      handInLast: 'Je levert in op de laatste pagina.',
      changeOnce: 'Je kunt ze veranderen tot je inlevert. Je kunt maar één keer inleveren.',
      change: 'Je kunt ze veranderen tot je inlevert.',
      taken: 'Wat bij het sluiten niet is ingeleverd, wordt opgehaald zoals het is.',
      notCounted: 'Wat bij het sluiten niet is ingeleverd, telt niet.',
      expected: 'Wat er wordt verwacht',
      from: (share) => `vanaf ${g.percent(share)}`,
      whenResults: 'Wanneer de uitslag komt',
      begin: 'Beginnen',
      beginFailed:
        'De quiz kon niet beginnen: misschien is er geen ruimte meer op dit apparaat. Er is niets verloren. Maak wat ruimte vrij en druk nog eens op ‘Beginnen’.',
      noQuestions: 'Deze quiz heeft nog geen vragen.',
    },
    work: {
      until: (at) => `tot ${g.dayAndTime(at)}`,
      due: (at) => `voor ${g.dayAndTime(at)}`,
      lateSince: (at) => `te laat sinds ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `nog ${minutes(n)}`,
      secondsLeft: (n) => `nog ${g.count(n, 'seconde', 'seconden')}`,
      soon: 'Nog minder dan vijf minuten.',
      last: 'De laatste minuut.',
      soonTaken: 'Wat je hebt beantwoord is opgeslagen en wordt aan het eind vanzelf ingeleverd.',
      soonNotTaken: 'Lever in voor het einde: wat dan niet is ingeleverd telt niet.',
      pages: 'Vragen',
      back: 'Terug',
      next: 'Volgende',
      review: 'Nakijken en inleveren',
      cannotGoBack: 'Je kunt niet terug.',
      goingOn: 'We gaan verder…',
      mustFirst: 'Dit moet beantwoord zijn voordat je verdergaat.',
      stillHere:
        'Je bent nog op deze pagina: hij kon niet worden verlaten. Er is niets verloren. Probeer het opnieuw.',
      toRead: 'Om te lezen, geen antwoord nodig',
      question: (n, of) => `Vraag ${n} van ${of}`,
      worth: (value) => (value.n === 0 ? 'geen punten' : pts(value)),
      mustAny: 'moet beantwoord worden',
      mustEvery: 'elk deel moet beantwoord worden',
      onlyToRead: 'Om te lezen',
      questionAlone: (n) => `Vraag ${n}`,
      questionsFrom: (from, to) => `Vragen ${from} tot en met ${to}`,
      besides: 'Bij de volgende vragen',
      newBeside: (name) => `Nieuw naast de vragen: ${name}.`,
      show: 'Tonen',
      hide: 'Verbergen',
      checkHandedIn: 'Kijken of mijn werk is ingeleverd',
      earlier: (attempt) => `Uitslag van poging ${attempt}`,
      earlierFailed: 'Een antwoord is nog niet opgeslagen: probeer het zo nog eens.',
    },
    keep: {
      saving: 'Opslaan…',
      saved: (at) => `Op dit apparaat opgeslagen om ${g.time(at)}`,
      asYouGo: 'Je antwoorden worden steeds op dit apparaat opgeslagen.',
      onPage: 'Alleen op deze pagina',
      received: (at: number) => `Ontvangen om ${g.time(at)}`,
      unsent: (at: number) => `Om ${g.time(at)} op dit apparaat opgeslagen, nog niet verstuurd`,
      trouble: {
        closed: 'De quiz is gesloten. Alles wat daarvoor is opgeslagen is veilig.',
        locked:
          'Je werk is vergrendeld, omdat de pagina is verlaten. Het antwoord staat er nog en wordt opgeslagen zodra het is ontgrendeld.',
        handedIn: 'Dit werk is al ingeleverd, misschien in een ander tabblad.',
        storage:
          'Dit apparaat kan je antwoord niet opslaan: de opslag is vol of geblokkeerd. Het antwoord staat nog op deze pagina; maak wat ruimte vrij en typ verder.',
        passed: 'Je hebt deze pagina verlaten: de antwoorden blijven zoals ze waren.',
        missing: 'Een vraag die beantwoord moet worden heeft nog geen antwoord.',
        unknown: 'Dit antwoord kon niet worden opgeslagen. Het staat nog op deze pagina.',
      },
    },
    hints: {
      all: 'Tips',
      one: 'Tip',
      numbered: (n) => `Tip ${n}`,
      show: (value) => `Toon een tip (${price(value)})`,
      another: (value) => `Nog een tip (${price(value)})`,
      failed:
        'De tip kon niet worden getoond. Er gaat niets af zolang hij verborgen blijft. Probeer het opnieuw.',
    },
    last: {
      ready: 'Klaar om in te leveren?',
      allAnswered: (n) => (n === 1 ? 'De vraag is beantwoord.' : `Alle ${n} vragen zijn beantwoord.`),
      missing: (n) => `${n} ${g.plural(n, 'vraag heeft', 'vragen hebben')} nog geen antwoord:`,
      begun: (n) => `${n} ${g.plural(n, 'vraag is', 'vragen zijn')} maar voor een deel beantwoord:`,
      noText: 'Vraag zonder tekst',
      must: (n) =>
        `Voordat je kunt inleveren ${g.plural(n, 'moet één vraag', `moeten ${n} vragen`)} beantwoord worden.`,
      once: 'Je kunt maar één keer inleveren; daarna kan er niets meer veranderen.',
      fixed: 'Wat is ingeleverd kan niet meer worden veranderd.',
      handIn: 'Inleveren',
      failed:
        'Niet ingeleverd: een van je antwoorden kon niet worden opgeslagen. Alles staat nog op deze pagina. Probeer het opnieuw.',
    },
    results: {
      of: (student) => `Uitslag van ${student}`,
      handedIn: (at) => `Ingeleverd op ${g.dayAndTime(at)}. Het is goed aangekomen.`,
      collected: (at, how) =>
        `Automatisch opgehaald toen ${how === 'closed' ? 'de quiz sloot' : 'je tijd om was'}, ${g.dayAndTime(at)}. Het is goed aangekomen.`,
      handedInAt: (at) => `Ingeleverd op ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Opgehaald zoals het was, ${g.dayAndTime(at)}`,
      fromFile: 'Uit een bestand',
      attemptOf: (n, of) => `poging ${n} van ${of}`,
      imported: 'Je docent heeft je werk ingelezen. Het is goed aangekomen.',
      cameAfter: (n) =>
        `${g.count(n, 'antwoord kwam', 'antwoorden kwamen')} na het einde binnen. Je docent ziet dat en beslist.`,
      tooLate: 'Het kwam aan toen de quiz al gesloten was, dus het telt alleen als je docent het accepteert.',
      voided: 'Je docent telt deze poging niet mee.',
      attempts: 'Pogingen',
      attempt: (n) => `Poging ${n}`,
      goOn: (n) => `Verder met poging ${n}`,
      again: 'De quiz nog eens maken',
      againFailed:
        'De quiz kon niet beginnen: misschien is er geen ruimte meer op dit apparaat. Er is niets verloren. Probeer het opnieuw.',
      question: (n) => `Vraag ${n}`,
      soOften: (most, done, how) =>
        `${often(most)}${most === null ? '' : `, en je hebt dat ${times(done)} gedaan`}; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Genoteerd: ${g.points(score)} van ${g.points(outOf)}${waiting.n > 0 ? ` tot nu toe (${g.points(waiting)} nog niet nagekeken)` : ''}; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} van ${g.points(outOf)}`,
      waiting: (waiting) => `${g.points(waiting)} nog niet nagekeken`,
      soFar: (waiting) => `tot nu toe; ${g.points(waiting)} nog niet nagekeken`,
      late: (before, share, of) =>
        `${g.points(before)}, min ${g.percent(share)} van de ${ofPoints(of)} punten omdat het te laat was`,
      classDid: (papers, figures, outOf) =>
        `De klas, ${g.count(papers, 'inzending', 'inzendingen')}: gemiddelde ${g.decimal(figures[0])}, mediaan ${g.decimal(figures[2])}, de helft van de klas heeft ${g.decimal(figures[1])} tot ${g.decimal(figures[3])} van ${g.points(outOf)}.`,
      verdicts: {
        right: 'Goed',
        partly: 'Deels goed',
        wrong: 'Niet goed',
        waits: 'Nog niet nagekeken',
        blank: 'Geen antwoord',
        unmarked: '',
      },
      standings: {
        notMarked: 'geen punten',
        leftOut: 'vervallen, geen punten',
        given: 'alle punten voor iedereen',
        givenToAnswered: 'alle punten voor elk antwoord',
        bonus: 'bonus',
      },
      hintsCost: (value) => `, met ${pts(value)} eraf voor tips`,
      errors: (n) => `, met punten eraf voor ${g.count(n, 'typefout', 'typefouten')}`,
      teacher: 'Je docent',
      yourHint: 'Je tip',
      yourAnswer: 'Jouw antwoord',
      rightAnswer: 'Goed antwoord',
      met: (n) => `jouw vraag ${n}`,
      noAnswer: 'geen antwoord',
      or: 'of',
      given: {
        choices: 'Om uit te kiezen',
        rows: 'Om uit te kiezen in elke rij',
        order: 'Om op volgorde te zetten',
        boxes: 'Om te sorteren',
        pairs: 'Om te koppelen',
        picture: 'De afbeelding',
        text: 'De tekst',
      },
      links: { read: 'Lezen', watch: 'Kijken', practise: 'Oefenen' },
      said: {
        true: 'waar',
        false: 'niet waar',
        gone: 'een keuze die er niet meer is',
        noBox: 'past in geen vak',
        noMatch: 'hoort nergens bij',
      },
    },
    plan: {
      parts: {
        score: 'je score',
        rightWrong: 'wat goed en fout was',
        questions: 'de vragen',
        ownAnswers: 'je antwoorden',
        feedback: 'feedback',
        rightAnswers: 'de goede antwoorden',
        comments: 'opmerkingen van je docent',
        classDid: 'hoe de klas het deed',
      },
      list: g.list,
      before: (parts, when) => `${parts}: ${when}.`,
      after: (parts, when) => `Nog te komen – ${parts}: ${when}.`,
      handedIn: 'zodra je inlevert',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${units[unit](amount)} nadat ${wait(what, scope)[1]}`,
      closed: 'als de quiz gesloten is',
      on: (at, closing, latest) =>
        `${latest ? 'uiterlijk ' : ''}op ${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}`,
    },
    media: {
      picture: 'Afbeelding',
      sound: 'Geluid',
      video: 'Video',
      cannotPlay: (name) =>
        `${name}: dit kan hier niet worden afgespeeld. Laad de pagina opnieuw om het nog eens te proberen.`,
      saidIn: 'Wat er wordt gezegd',
      saidAndShown: 'Wat er wordt gezegd en getoond',
    },
    picking: {
      clear: 'Mijn antwoord wissen',
      clearRow: 'Wissen',
      clearOf: (row) => `Mijn antwoord bij ‘${row}’ wissen`,
      cleared: 'Je antwoord is gewist.',
      several: 'Vink alles aan wat klopt.',
      severalRow: 'vink alles aan wat klopt',
      true: 'Waar',
      false: 'Niet waar',
    },
    pairing: {
      how: 'Kies wat bij elk hoort.',
      howNone: 'Kies wat bij elk hoort; sommige horen nergens bij.',
      choose: 'kiezen',
      none: 'hoort nergens bij',
      which: (name) => `Wat hoort bij ‘${name}’?`,
      taken: (name) => `Bij ‘${name}’ is niets meer gekozen.`,
    },
    sorting: {
      none: 'Past in geen vak',
      toSort: 'Nog te sorteren',
      sorted: 'Alles is gesorteerd',
      how: 'Druk op iets en kies het vak, of sleep het erheen.',
      unsorted: 'nog niet gesorteerd',
      which: (name) => `Waar hoort ‘${name}’?`,
      takeOut: 'eruit halen',
      taken: (name) => `‘${name}’ is niet meer gesorteerd.`,
    },
    filling: {
      gap: (n) => `Gat ${n}`,
      bank: 'Woorden voor de gaten. Druk op een woord om het in het volgende lege gat te zetten.',
      filled: (word, n) => `‘${word}’ staat in gat ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `‘${name}’ omhoog, nu ${at} van ${of}`,
      down: (name, at, of) => `‘${name}’ omlaag, nu ${at} van ${of}`,
      now: (name, at, of) => `‘${name}’ is nu ${at} van ${of}.`,
      how: 'Sleep de onderdelen, of gebruik de pijlen.',
      untouched: 'Zolang je niets verplaatst, is er niets beantwoord.',
      leave: 'In deze volgorde laten',
      left: 'Deze volgorde is je antwoord.',
    },
    spotting: {
      one: 'Druk op de plek in de afbeelding.',
      several: (n, left) =>
        `Druk op ${n} plekken in de afbeelding${left === null ? '' : `; nog ${left} te gaan`}.`,
      noPicture: 'De afbeelding ontbreekt. Zeg het tegen je docent.',
      spot: (n) => `Punt ${n}`,
      at: (x, y) => `${x} van links, ${y} van boven`,
      how: 'Sleep het, of verplaats het met de pijltjestoetsen',
      byKeys: 'Een punt zetten met het toetsenbord',
      take: (n) => `Punt ${n} weghalen`,
      taken: (n) => `Punt ${n} is weg.`,
    },
    writing: {
      words: (n) => g.count(n, 'woord', 'woorden'),
      wordsOf: (n, most) => `${n} van hoogstens ${g.count(most, 'woord', 'woorden')}`,
      over: (n) => `${g.count(n, 'woord', 'woorden')} te veel`,
      marked: 'Je docent kijkt dit antwoord na.',
      letters: 'Bijzondere letters',
      letter: (letter) => `${letter} schrijven`,
      capitals: 'Hoofdletters',
    },
  };
};
