import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in Italian. */
export const it = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'punto', 'punti')}`;
  const minutes = (n: number) => g.count(n, 'minuto', 'minuti');
  const times = (n: number) => ['nessuna volta', 'una volta', 'due volte'][n] ?? `${n} volte`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'ora', 'ore'),
    day: (n) => g.count(n, 'giorno', 'giorni'),
  };
  const whose = (scope: Scope) =>
    ({ all: 'tutti', class: 'tutta la tua classe', group: 'tutto il tuo gruppo' })[scope];
  const done = (scope: Scope) =>
    `${scope === 'all' ? 'tutti hanno consegnato' : `${whose(scope)} ha consegnato`} o il tempo è scaduto`;
  const counts: Readonly<Record<Counts, string>> = {
    best: 'vale il tuo tentativo migliore',
    latest: 'vale il tuo ultimo tentativo',
    first: 'vale il tuo primo tentativo',
    mean: 'vale la media dei tuoi tentativi',
  };
  const often = (most: number | null) =>
    most === null ? 'Puoi fare questo quiz quante volte vuoi' : `Puoi fare questo quiz ${times(most)}`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['appena consegni', 'la tua consegna'],
      closed: ['quando l’insegnante chiude il quiz', 'la chiusura del quiz per te'],
      allClosed: [`quando il quiz è chiuso per ${whose(scope)}`, `la chiusura del quiz per ${whose(scope)}`],
      allDone: [`quando ${done(scope)}`, `il momento in cui ${done(scope)}`],
      date: ['a un’ora stabilita', 'un’ora stabilita'],
      marked: ['quando è tutto corretto', 'la fine della correzione'],
      lastAttempt: ['dopo il tuo ultimo tentativo', 'il tuo ultimo tentativo'],
      byTeacher: ['quando l’insegnante lo mostra', 'il momento in cui l’insegnante lo mostra'],
      takenBack: [
        'quando l’insegnante lo mostra di nuovo',
        'il momento in cui l’insegnante lo mostra di nuovo',
      ],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'ottenuti' : 'possibili');
  const price = (value: Fraction) => (value.n === 0 ? 'non costa nulla' : `costa ${pts(value)}`);
  return {
    again: 'Riprova',
    page: {
      loading: 'Il tuo lavoro si sta caricando…',
      cannotOpen: 'Il tuo lavoro non si può aprire qui',
      cannotOpenWhy:
        'Non hai perso nulla. Riprova; se non serve, apri l’indirizzo in una finestra normale o in un altro browser.',
      handedIn: 'Consegnato',
      timeOver: 'Il tempo è scaduto',
      restToCome:
        'Tutto ciò che è salvato resta. Non è stato possibile caricare il seguito: riprova tra un momento.',
      nothingHandedIn: (outOf) => `Hai 0 su ${pts(outOf)}, perché non è stato consegnato nulla.`,
      noPaper: 'A questo indirizzo non c’è nessun lavoro',
      noPaperWhy: 'Controlla l’indirizzo con l’insegnante. Non hai perso nulla.',
      takenBack:
        'L’insegnante ha ritirato il quiz per ora. Le tue risposte restano e il tuo tempo è fermo. Questa pagina continuerà da sola.',
      notOpen: 'Questo quiz non è aperto. Chiedi all’insegnante quando lo sarà.',
      opens: (at) => `Si apre ${g.dayAndTime(at)}. Questa pagina lo aprirà da sola.`,
      locked:
        'Questa pagina è stata lasciata per più di due minuti, perciò il tuo lavoro è bloccato. Le tue risposte restano. Chiedi all’insegnante di sbloccarlo; poi questa pagina continuerà da sola.',
      notHandedIn:
        'Il quiz è chiuso. Ciò che non è stato consegnato non vale per questo quiz. Chiedi all’insegnante.',
      lockedNow: 'Questa pagina è bloccata per ora.',
      unlocked: 'Il tuo lavoro è sbloccato. Puoi continuare.',
      stopped: 'Questa pagina ha smesso di funzionare',
      stoppedWhy: 'Le risposte date finora sono salvate su questo dispositivo.',
    },
    ticket: {
      title: 'Il tuo codice',
      how: 'Scrivi gli 8 segni del tuo codice. Maiuscole e trattino non contano.',
      label: 'Codice',
      go: 'Continua',
      empty: 'Scrivi prima il tuo codice.',
      strange: (sign: string) => `In un codice non c’è nessun «${sign}». Guarda di nuovo il tuo.`,
      length: (n: number) => `Un codice ha 8 segni, questo ne ha ${n}.`,
      slip: 'Uno dei segni non è giusto. Guarda di nuovo il tuo codice.',
      nobodys: 'Nessuno ha questo codice. Guarda di nuovo il tuo o chiedi all’insegnante.',
      other: 'Usa un altro codice',
      mine: (ticket: string) => `Codice ${ticket}`,
    },
    file: {
      what: 'Questo quiz è un file: non invia nulla. Alla fine salvi le tue risposte e le dai all’insegnante.',
      noScripts:
        'Questo quiz è un file che ha bisogno di un browser. Se vedi solo questo testo, apri il file in un browser o chiedi un altro modo all’insegnante.',
      clock: 'Tutti gli orari sono quelli di questo dispositivo.',
      noHints: 'Gli aiuti non fanno parte di questo file.',
      results: 'I risultati te li dà l’insegnante.',
      asOften: 'Puoi cambiare le tue risposte e salvarle di nuovo: contano le ultime.',
      once: 'Quando il tuo tempo è finito, non puoi più tornare alle tue risposte.',
      notKept:
        'Questo browser non conserva nulla per i file. Le tue risposte sono solo su questa pagina: salvale prima di chiuderla.',
      review: 'Rivedi e salva',
      ready: 'Pronto a salvare le tue risposte?',
      save: 'Salva le mie risposte',
      failed:
        'Non è stato possibile salvarle. È ancora tutto su questa pagina. Riprova, oppure copiale come testo.',
      yours: 'Le tue risposte',
      saved: (file: string) => `Salvate nel file ${file}. Dai questo file all’insegnante.`,
      over: 'Il tempo è finito. Salva le tue risposte e dalle all’insegnante.',
      notSaved: 'Non sono ancora salvate in un file.',
      again: 'Salvale di nuovo',
      copy: 'Copiale come testo',
      copied: 'Copiato. Incolla il testo in un messaggio all’insegnante.',
      text: 'Le tue risposte come testo',
      select: 'Questo browser non copia. Seleziona questo testo, copialo e invialo all’insegnante.',
      back: 'Torna alle mie risposte',
      opens: (at: number) => `Si apre il ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Si è chiuso il ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `I quiz di ${student}`,
      toDo: 'Da fare',
      done: 'Consegnati',
      nothing: 'Al momento non c’è niente da fare per te.',
      opens: (at: number) => `si apre il ${g.dayAndTime(at)}`,
      until: (at: number) => `aperto fino al ${g.dayAndTime(at)}`,
      due: (at: number) => `da consegnare entro il ${g.dayAndTime(at)}`,
      working: 'iniziato',
      locked: 'bloccato',
      closed: 'chiuso',
      results: 'risultati',
      noResults: 'ancora nessun risultato',
      back: 'Tutti i miei quiz',
      away: 'Non c’è connessione. Quello che hai risposto resta su questo dispositivo. Riprova tra un momento.',
      receipt: (code: string) =>
        `Ricevuta ${code}. Con questa l’insegnante può vedere che il compito è arrivato.`,
      notHandedIn:
        'Non ancora consegnato: non c’è connessione. Le tue risposte restano su questo dispositivo. Riprova quando sei connesso.',
    },
    cover: {
      paperOf: (student) => `Lavoro di ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'domanda', 'domande')}, ${pts(points)}${scaledTo ? `; il tuo punteggio è dato su ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Aperto finché l’insegnante non lo chiude.',
      until: (at) => `Aperto fino a ${g.dayAndTime(at)}.`,
      limit: (n) => `Hai ${minutes(n)} da quando cominci, e il tempo scorre anche a pagina chiusa.`,
      due: (at, grace) =>
        `Da consegnare entro ${g.dayAndTime(at)}${grace > 0 ? `, con ${minutes(grace)} in più prima che sia in ritardo` : ''}.`,
      overdue: 'È passato: ciò che consegni ora è in ritardo.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Il ritardo non costa nulla.';
        const of = `dei punti ${ofPoints(rule.of)}`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, al massimo ${g.percent(rule.cap)}`;
          return `Ogni ${rule.step === 'hour' ? 'ora iniziata' : 'giorno iniziato'} di ritardo costa ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} fino a ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Un lavoro in ritardo perde una parte ${of}: ${rows.join(', ')}${after ? `, poi ${g.percent(after.share)}` : ''}.`;
      },
      often: (most, how) => `${often(most)}; ${counts[how]}.`,
      comingBack: 'Le risposte si salvano man mano: puoi uscire e tornare su questo dispositivo.',
      staying:
        'Le risposte si salvano man mano. Resta su questa pagina fino alla consegna: se la lasci per due minuti, è bloccata finché l’insegnante non la sblocca.',
      noGoingBack:
        'Non puoi tornare indietro: quando vai avanti, le risposte di una pagina restano come sono.',
      handInOnce: 'Puoi consegnare una volta sola.',
      handInLast: 'Si consegna all’ultima pagina.',
      changeOnce: 'Puoi cambiarle fino alla consegna. Puoi consegnare una volta sola.',
      change: 'Puoi cambiarle fino alla consegna.',
      taken: 'Ciò che non è consegnato alla chiusura sarà raccolto così com’è.',
      notCounted: 'Ciò che non è consegnato alla chiusura non vale.',
      expected: 'Che cosa ci si aspetta',
      from: (share) => `da ${g.percent(share)}`,
      whenResults: 'Quando arrivano i risultati',
      begin: 'Comincia',
      beginFailed:
        'Il quiz non è potuto cominciare: forse su questo dispositivo non c’è più spazio. Non hai perso nulla. Libera spazio e premi di nuovo «Comincia».',
      noQuestions: 'Questo quiz non ha ancora domande.',
    },
    work: {
      until: (at) => `fino a ${g.dayAndTime(at)}`,
      due: (at) => `entro ${g.dayAndTime(at)}`,
      lateSince: (at) => `in ritardo da ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `ancora ${minutes(n)}`,
      secondsLeft: (n) => `ancora ${g.count(n, 'secondo', 'secondi')}`,
      soon: 'Mancano meno di cinque minuti.',
      last: 'L’ultimo minuto.',
      soonTaken: 'Le tue risposte sono salvate e alla fine saranno consegnate da sole.',
      soonNotTaken: 'Consegna prima della fine: ciò che per allora non è consegnato non vale.',
      pages: 'Domande',
      back: 'Indietro',
      next: 'Avanti',
      review: 'Controlla e consegna',
      cannotGoBack: 'Non puoi tornare indietro.',
      goingOn: 'Si continua…',
      mustFirst: 'Bisogna rispondere qui prima di andare avanti.',
      stillHere:
        'Sei ancora su questa pagina: non è stato possibile lasciarla. Non hai perso nulla. Riprova.',
      toRead: 'Da leggere, senza risposta',
      question: (n, of) => `Domanda ${n} di ${of}`,
      worth: (value) => (value.n === 0 ? 'senza punti' : pts(value)),
      mustAny: 'risposta obbligatoria',
      mustEvery: 'ogni parte è obbligatoria',
      onlyToRead: 'Da leggere',
      questionAlone: (n) => `Domanda ${n}`,
      questionsFrom: (from, to) => `Domande da ${from} a ${to}`,
      besides: 'Per le prossime domande',
      newBeside: (name) => `Nuovo accanto alle domande: ${name}.`,
      show: 'Mostra',
      hide: 'Nascondi',
      checkHandedIn: 'Controlla se il mio lavoro è consegnato',
      earlier: (attempt) => `Risultati del tentativo ${attempt}`,
      earlierFailed: 'Una risposta non è ancora salvata: riprova tra un momento.',
    },
    keep: {
      saving: 'Salvataggio…',
      saved: (at) => `Salvato su questo dispositivo alle ${g.time(at)}`,
      asYouGo: 'Le tue risposte si salvano man mano su questo dispositivo.',
      onPage: 'Solo su questa pagina',
      received: (at: number) => `Ricevuto alle ${g.time(at)}`,
      unsent: (at: number) => `Salvato su questo dispositivo alle ${g.time(at)}, non ancora inviato`,
      trouble: {
        closed: 'Il quiz è chiuso. Tutto ciò che è stato salvato prima è al sicuro.',
        locked:
          'Il tuo lavoro è bloccato, perché la pagina è stata lasciata. La risposta è ancora qui e sarà salvata quando viene sbloccato.',
        handedIn: 'Questo lavoro è già consegnato, forse in un’altra scheda.',
        storage:
          'Questo dispositivo non può salvare la risposta: la memoria è piena o bloccata. La risposta è ancora su questa pagina; libera spazio e continua a scrivere.',
        passed: 'Hai lasciato questa pagina: le sue risposte restano com’erano.',
        missing: 'Una domanda obbligatoria non ha ancora risposta.',
        unknown: 'Non è stato possibile salvare questa risposta. È ancora su questa pagina.',
      },
    },
    hints: {
      all: 'Aiuti',
      one: 'Aiuto',
      numbered: (n) => `Aiuto ${n}`,
      show: (value) => `Mostra un aiuto (${price(value)})`,
      another: (value) => `Un altro aiuto (${price(value)})`,
      failed: 'Non è stato possibile mostrare l’aiuto. Finché resta nascosto non si toglie nulla. Riprova.',
    },
    last: {
      ready: 'Vuoi consegnare?',
      allAnswered: (n) =>
        n === 1 ? 'La domanda ha una risposta.' : `Tutte le ${n} domande hanno una risposta.`,
      missing: (n) => `${n} ${g.plural(n, 'domanda non ha', 'domande non hanno')} ancora una risposta:`,
      begun: (n) => `${n} ${g.plural(n, 'domanda ha', 'domande hanno')} solo una parte di risposta:`,
      noText: 'Domanda senza testo',
      must: (n) =>
        `Prima di consegnare bisogna rispondere a ${g.plural(n, 'una domanda obbligatoria', `${n} domande obbligatorie`)}.`,
      once: 'Puoi consegnare una volta sola; dopo non si può cambiare più nulla.',
      fixed: 'Ciò che è consegnato non si può più cambiare.',
      handIn: 'Consegna',
      failed:
        'Non consegnato: non è stato possibile salvare una delle tue risposte. È ancora tutto su questa pagina. Riprova.',
    },
    results: {
      of: (student) => `Risultati di ${student}`,
      handedIn: (at) => `Consegnato ${g.dayAndTime(at)}. È arrivato.`,
      collected: (at, how) =>
        `Raccolto automaticamente ${how === 'closed' ? 'alla chiusura del quiz' : 'allo scadere del tuo tempo'}, ${g.dayAndTime(at)}. È arrivato.`,
      handedInAt: (at) => `Consegnato ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Raccolto così com’era, ${g.dayAndTime(at)}`,
      fromFile: 'Da un file',
      attemptOf: (n, of) => `tentativo ${n} di ${of}`,
      imported: 'L’insegnante ha importato il tuo lavoro. È arrivato.',
      cameAfter: (n) =>
        `${g.count(n, 'risposta è arrivata', 'risposte sono arrivate')} dopo la fine. L’insegnante lo vede e decide.`,
      tooLate: 'È arrivato dopo la chiusura del quiz, perciò vale solo se l’insegnante lo accetta.',
      voided: 'L’insegnante non conta questo tentativo.',
      attempts: 'Tentativi',
      attempt: (n) => `Tentativo ${n}`,
      goOn: (n) => `Continua il tentativo ${n}`,
      again: 'Rifai il quiz',
      againFailed:
        'Il quiz non è potuto cominciare: forse su questo dispositivo non c’è più spazio. Non hai perso nulla. Riprova.',
      question: (n) => `Domanda ${n}`,
      soOften: (most, n, how) =>
        `${often(most)}${most === null ? '' : `, e l’hai fatto ${times(n)}`}; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Registrato: ${g.points(score)} su ${g.points(outOf)}${waiting.n > 0 ? ` per ora (${g.points(waiting)} da correggere)` : ''}; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} su ${g.points(outOf)}`,
      waiting: (waiting) => `${g.points(waiting)} da correggere`,
      soFar: (waiting) => `per ora; ${g.points(waiting)} da correggere`,
      late: (before, share, of) =>
        `${g.points(before)}, meno ${g.percent(share)} dei punti ${ofPoints(of)} per il ritardo`,
      classDid: (papers, figures, outOf) =>
        `La classe, ${g.count(papers, 'lavoro', 'lavori')}: media ${g.decimal(figures[0])}, mediana ${g.decimal(figures[2])}, metà della classe ha da ${g.decimal(figures[1])} a ${g.decimal(figures[3])} su ${g.points(outOf)}.`,
      verdicts: {
        right: 'Giusto',
        partly: 'Giusto in parte',
        wrong: 'Non giusto',
        waits: 'Da correggere',
        blank: 'Nessuna risposta',
        unmarked: '',
      },
      standings: {
        notMarked: 'senza punti',
        leftOut: 'esclusa, senza punti',
        given: 'tutti i punti a tutti',
        givenToAnswered: 'tutti i punti per ogni risposta',
        bonus: 'punti extra',
      },
      hintsCost: (value) => `, con ${pts(value)} in meno per gli aiuti`,
      errors: (n) => `, con punti in meno per ${g.count(n, 'errore di battitura', 'errori di battitura')}`,
      teacher: 'L’insegnante',
      yourHint: 'Il tuo aiuto',
      yourAnswer: 'La tua risposta',
      rightAnswer: 'Risposta giusta',
      met: (n) => `la tua domanda ${n}`,
      noAnswer: 'nessuna risposta',
      or: 'oppure',
      given: {
        choices: 'Tra cui scegliere',
        rows: 'Tra cui scegliere in ogni riga',
        order: 'Da mettere in ordine',
        boxes: 'Da raggruppare',
        pairs: 'Da abbinare',
        picture: 'L’immagine',
        text: 'Il testo',
      },
      links: { read: 'Leggi', watch: 'Guarda', practise: 'Esercitati' },
      said: {
        true: 'vero',
        false: 'falso',
        gone: 'una scelta che non c’è più',
        noBox: 'non sta in nessun gruppo',
        noMatch: 'non si abbina a nulla',
      },
    },
    plan: {
      parts: {
        score: 'il tuo punteggio',
        rightWrong: 'che cosa era giusto o sbagliato',
        questions: 'le domande',
        ownAnswers: 'le tue risposte',
        feedback: 'i consigli',
        rightAnswers: 'le risposte giuste',
        comments: 'i commenti dell’insegnante',
        classDid: 'com’è andata la classe',
      },
      list: g.list,
      before: (parts, when) => `${parts}: ${when}.`,
      after: (parts, when) => `Deve ancora arrivare – ${parts}: ${when}.`,
      handedIn: 'appena consegni',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${units[unit](amount)} dopo ${wait(what, scope)[1]}`,
      closed: 'quando il quiz è chiuso',
      on: (at, closing, latest) =>
        `${latest ? 'al più tardi ' : ''}${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}`,
    },
    media: {
      picture: 'Immagine',
      sound: 'Suono',
      video: 'Video',
      cannotPlay: (name) => `${name}: qui non si può riprodurre. Ricarica la pagina per riprovare.`,
      saidIn: 'Che cosa si dice',
      saidAndShown: 'Che cosa si dice e si vede',
    },
    picking: {
      clear: 'Cancella la mia risposta',
      clearRow: 'Cancella',
      clearOf: (row) => `Cancella la mia risposta a «${row}»`,
      cleared: 'La tua risposta è cancellata.',
      several: 'Segna tutto ciò che va bene.',
      severalRow: 'segna tutto ciò che va bene',
      true: 'Vero',
      false: 'Falso',
    },
    pairing: {
      how: 'Scegli che cosa va con ciascuno.',
      howNone: 'Scegli che cosa va con ciascuno; alcuni non si abbinano a nulla.',
      choose: 'scegli',
      none: 'non si abbina a nulla',
      which: (name) => `Che cosa va con «${name}»?`,
      taken: (name) => `«${name}» non è più abbinato.`,
    },
    sorting: {
      none: 'Non sta in nessun gruppo',
      toSort: 'Da raggruppare',
      sorted: 'È tutto raggruppato',
      how: 'Premi un elemento e scegli il suo gruppo, oppure trascinalo.',
      unsorted: 'non ancora raggruppato',
      which: (name) => `Dove va «${name}»?`,
      takeOut: 'toglilo',
      taken: (name) => `«${name}» non è più in nessun gruppo.`,
    },
    filling: {
      gap: (n) => `Spazio ${n}`,
      bank: 'Parole per gli spazi. Premi una parola per metterla nel prossimo spazio vuoto.',
      filled: (word, n) => `«${word}» è nello spazio ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `Sposta su «${name}», ora ${at} di ${of}`,
      down: (name, at, of) => `Sposta giù «${name}», ora ${at} di ${of}`,
      now: (name, at, of) => `«${name}» è ora ${at} di ${of}.`,
      how: 'Trascina gli elementi, oppure usa le frecce.',
      untouched: 'Finché non sposti nulla, non c’è risposta.',
      leave: 'Lasciali in quest’ordine',
      left: 'Quest’ordine è la tua risposta.',
    },
    spotting: {
      one: 'Premi il punto sull’immagine.',
      several: (n, left) =>
        `Premi ${n} punti sull’immagine${left === null ? '' : `; ne ${g.plural(left, 'manca', 'mancano')} ${left}`}.`,
      noPicture: 'Manca l’immagine. Dillo all’insegnante.',
      spot: (n) => `Punto ${n}`,
      at: (x, y) => `${x} da sinistra, ${y} dall’alto`,
      how: 'Trascinalo, oppure spostalo con le frecce',
      byKeys: 'Metti un punto con la tastiera',
      take: (n) => `Togli il punto ${n}`,
      taken: (n) => `Il punto ${n} è tolto.`,
    },
    writing: {
      words: (n) => g.count(n, 'parola', 'parole'),
      wordsOf: (n, most) => `${n} di ${g.count(most, 'parola', 'parole')} al massimo`,
      over: (n) => `${g.count(n, 'parola', 'parole')} di troppo`,
      marked: 'L’insegnante corregge questa risposta.',
      letters: 'Lettere speciali',
      letter: (letter) => `Scrivi ${letter}`,
      capitals: 'Maiuscole',
    },
  };
};
