import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in French. */
export const fr = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'point', 'points')}`;
  const minutes = (n: number) => g.count(n, 'minute', 'minutes');
  const times = (n: number) => ['aucune fois', 'une fois', 'deux fois'][n] ?? `${n} fois`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'heure', 'heures'),
    day: (n) => g.count(n, 'jour', 'jours'),
  };
  const whose = (scope: Scope) =>
    ({ all: 'tout le monde', class: 'toute ta classe', group: 'tout ton groupe' })[scope];
  const counts: Readonly<Record<Counts, string>> = {
    best: 'ton meilleur essai compte',
    latest: 'ton dernier essai compte',
    first: 'ton premier essai compte',
    mean: 'la moyenne de tes essais compte',
  };
  const often = (most: number | null) =>
    most === null
      ? 'Tu peux faire ce quiz aussi souvent que tu veux'
      : `Tu peux faire ce quiz ${times(most)}`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['dès que tu rends ta copie', 'la remise de ta copie'],
      closed: ['quand ton professeur ferme le quiz', 'la fermeture du quiz pour toi'],
      allClosed: [
        `quand le quiz est fermé pour ${whose(scope)}`,
        `la fermeture du quiz pour ${whose(scope)}`,
      ],
      allDone: [
        `quand ${whose(scope)} a rendu sa copie ou que le temps est écoulé`,
        `le moment où ${whose(scope)} a rendu sa copie ou où le temps est écoulé`,
      ],
      date: ['à une date fixée', 'une date fixée'],
      marked: ['quand tout est corrigé', 'la fin de la correction'],
      lastAttempt: ['après ton dernier essai', 'ton dernier essai'],
      byTeacher: ['quand ton professeur le montre', 'le moment où ton professeur le montre'],
      takenBack: [
        'quand ton professeur le montre de nouveau',
        'le moment où ton professeur le montre de nouveau',
      ],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'obtenus' : 'possibles');
  const price = (value: Fraction) => (value.n === 0 ? 'gratuit' : `coûte ${pts(value)}`);
  return {
    again: 'Réessayer',
    page: {
      loading: 'Ta copie se charge…',
      cannotOpen: 'Ta copie ne peut pas s’ouvrir ici',
      cannotOpenWhy:
        'Rien n’est perdu. Réessaie ; si cela ne marche pas, ouvre l’adresse dans une fenêtre ordinaire ou dans un autre navigateur.',
      handedIn: 'Copie rendue',
      timeOver: 'Le temps est écoulé',
      restToCome:
        'Tout ce qui est enregistré est conservé. La suite n’a pas pu être chargée : réessaie dans un instant.',
      nothingHandedIn: (outOf) => `Tu as 0 sur ${pts(outOf)}, car rien n’a été rendu.`,
      noPaper: 'Il n’y a pas de copie à cette adresse',
      noPaperWhy: 'Vérifie l’adresse avec ton professeur. Rien n’est perdu.',
      takenBack:
        'Ton professeur a retiré le quiz pour le moment. Tes réponses sont conservées et ton temps est arrêté. Cette page reprendra toute seule.',
      notOpen: 'Ce quiz n’est pas ouvert. Demande à ton professeur quand il le sera.',
      opens: (at) => `Il ouvre le ${g.dayAndTime(at)}. Cette page l’ouvrira toute seule.`,
      locked:
        'Cette page a été quittée plus de deux minutes, ta copie est donc bloquée. Tes réponses sont conservées. Demande à ton professeur de la débloquer ; cette page reprendra ensuite toute seule.',
      notHandedIn:
        'Le quiz est fermé. Ce qui n’a pas été rendu ne compte pas pour ce quiz. Parles-en à ton professeur.',
      lockedNow: 'Cette page est bloquée pour le moment.',
      unlocked: 'Ta copie est débloquée. Tu peux continuer.',
      stopped: 'Cette page ne fonctionne plus',
      stoppedWhy: 'Tes réponses jusqu’ici sont enregistrées sur cet appareil.',
    },
    ticket: {
      title: 'Ton ticket',
      how: 'Tape les 8 signes de ton ticket. Les majuscules et le tiret n’ont pas d’importance.',
      label: 'Ticket',
      go: 'Continuer',
      empty: 'Tape d’abord ton ticket.',
      strange: (sign: string) => `Il n’y a pas de « ${sign} » dans un ticket. Regarde encore le tien.`,
      length: (n: number) => `Un ticket a 8 signes, celui-ci en a ${n}.`,
      slip: 'Un des signes n’est pas le bon. Regarde encore ton ticket.',
      nobodys: 'Personne n’a ce ticket. Regarde encore le tien, ou demande à ton professeur.',
      other: 'Utiliser un autre ticket',
      mine: (ticket: string) => `Ticket ${ticket}`,
    },
    file: {
      what: 'Ce quiz est un fichier : il n’envoie rien. À la fin, tu enregistres tes réponses et tu les donnes à ton professeur.',
      noScripts:
        'Ce quiz est un fichier qui a besoin d’un navigateur. Si tu ne vois que ce texte, ouvre le fichier dans un navigateur, ou demande une autre solution à ton professeur.',
      clock: 'Toutes les heures sont celles de cet appareil.',
      noHints: 'Les indices ne sont pas dans ce fichier.',
      results: 'C’est ton professeur qui te donne tes résultats.',
      asOften: 'Tu peux changer tes réponses et les enregistrer de nouveau : les dernières comptent.',
      once: 'Une fois ton temps écoulé, tu ne peux plus revenir à tes réponses.',
      notKept:
        'Ce navigateur ne garde rien pour les fichiers. Tes réponses ne sont que sur cette page : enregistre-les avant de la fermer.',
      review: 'Relire et enregistrer',
      ready: 'Prêt à enregistrer tes réponses ?',
      save: 'Enregistrer mes réponses',
      failed:
        'Elles n’ont pas pu être enregistrées. Tout est encore sur cette page. Réessaie, ou copie-les comme texte.',
      yours: 'Tes réponses',
      saved: (file: string) => `Enregistrées dans le fichier ${file}. Donne ce fichier à ton professeur.`,
      over: 'Le temps est écoulé. Enregistre tes réponses et donne-les à ton professeur.',
      notSaved: 'Elles ne sont pas encore enregistrées dans un fichier.',
      again: 'Les enregistrer de nouveau',
      copy: 'Les copier comme texte',
      copied: 'Copié. Colle le texte dans un message à ton professeur.',
      text: 'Tes réponses comme texte',
      select: 'Ce navigateur ne copie pas. Sélectionne ce texte, copie-le et envoie-le à ton professeur.',
      back: 'Revenir à mes réponses',
      opens: (at: number) => `Il ouvre le ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Il a fermé le ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `Les quiz de ${student}`,
      toDo: 'À faire',
      done: 'Rendus',
      nothing: 'Il n’y a rien à faire pour toi en ce moment.',
      opens: (at: number) => `ouvre le ${g.dayAndTime(at)}`,
      until: (at: number) => `ouvert jusqu’au ${g.dayAndTime(at)}`,
      due: (at: number) => `à rendre le ${g.dayAndTime(at)}`,
      working: 'commencé',
      locked: 'bloqué',
      closed: 'fermé',
      results: 'résultats',
      noResults: 'pas encore de résultats',
      back: 'Tous mes quiz',
      away: 'Il n’y a pas de connexion. Tes réponses restent sur cet appareil. Réessaie dans un instant.',
      receipt: (code: string) =>
        `Reçu ${code}. Avec lui, ton professeur peut voir que cette copie est arrivée.`,
      notHandedIn:
        'Pas encore rendu : il n’y a pas de connexion. Tes réponses restent sur cet appareil. Réessaie quand tu seras connecté.',
    },
    cover: {
      paperOf: (student) => `Copie de ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'question', 'questions')}, ${pts(points)}${scaledTo ? ` ; ta note est donnée sur ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Ouvert jusqu’à ce que ton professeur le ferme.',
      until: (at) => `Ouvert jusqu’au ${g.dayAndTime(at)}.`,
      limit: (n) => `Tu as ${minutes(n)} à partir du début, et le temps continue quand la page est fermée.`,
      due: (at, grace) =>
        `À rendre pour le ${g.dayAndTime(at)}${grace > 0 ? `, avec ${minutes(grace)} de plus avant que ce soit en retard` : ''}.`,
      overdue: 'C’est passé : ce que tu rends maintenant est en retard.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Un retard ne coûte rien.';
        const of = `des points ${ofPoints(rule.of)}`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, ${g.percent(rule.cap)} au plus`;
          return `Chaque ${rule.step === 'hour' ? 'heure' : 'jour'} de retard, même ${rule.step === 'hour' ? 'commencée' : 'commencé'}, coûte ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} jusqu’à ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Un travail en retard perd une part ${of} : ${rows.join(', ')}${after ? `, ${g.percent(after.share)} ensuite` : ''}.`;
      },
      often: (most, how) => `${often(most)} ; ${counts[how]}.`,
      comingBack:
        'Tes réponses sont enregistrées au fur et à mesure : tu peux partir et revenir sur cet appareil.',
      staying:
        'Tes réponses sont enregistrées au fur et à mesure. Reste sur cette page jusqu’à la fin : si tu la quittes deux minutes, elle est bloquée jusqu’à ce que ton professeur la débloque.',
      noGoingBack:
        'Tu ne peux pas revenir en arrière : une fois que tu continues, les réponses d’une page restent telles quelles.',
      handInOnce: 'Tu ne peux rendre ta copie qu’une fois.',
      handInLast: 'Tu rends ta copie à la dernière page.',
      changeOnce: 'Tu peux les changer jusqu’à la remise. Tu ne peux rendre ta copie qu’une fois.',
      change: 'Tu peux les changer jusqu’à la remise.',
      taken: 'Ce qui n’est pas rendu à la fermeture sera ramassé tel quel.',
      notCounted: 'Ce qui n’est pas rendu à la fermeture ne compte pas.',
      expected: 'Ce qui est attendu',
      from: (share) => `dès ${g.percent(share)}`,
      whenResults: 'Quand viennent les résultats',
      begin: 'Commencer',
      beginFailed:
        'Le quiz n’a pas pu commencer : cet appareil n’a peut-être plus de place. Rien n’est perdu. Libère de la place et appuie de nouveau sur « Commencer ».',
      noQuestions: 'Ce quiz n’a pas encore de questions.',
    },
    work: {
      until: (at) => `jusqu’au ${g.dayAndTime(at)}`,
      due: (at) => `pour le ${g.dayAndTime(at)}`,
      lateSince: (at) => `en retard depuis le ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `encore ${minutes(n)}`,
      secondsLeft: (n) => `encore ${g.count(n, 'seconde', 'secondes')}`,
      soon: 'Il reste moins de cinq minutes.',
      last: 'La dernière minute.',
      soonTaken: 'Tes réponses sont enregistrées et seront rendues toutes seules à la fin.',
      soonNotTaken: 'Rends ta copie avant la fin : ce qui n’est pas rendu à temps ne compte pas.',
      pages: 'Questions',
      back: 'Retour',
      next: 'Suivant',
      review: 'Vérifier et rendre',
      cannotGoBack: 'Tu ne peux pas revenir en arrière.',
      goingOn: 'On continue…',
      mustFirst: 'Il faut répondre ici avant de continuer.',
      stillHere: 'Tu es encore sur cette page : on n’a pas pu la quitter. Rien n’est perdu. Réessaie.',
      toRead: 'À lire, sans réponse',
      question: (n, of) => `Question ${n} sur ${of}`,
      worth: (value) => (value.n === 0 ? 'sans points' : pts(value)),
      mustAny: 'réponse obligatoire',
      mustEvery: 'réponse obligatoire à chaque partie',
      onlyToRead: 'À lire',
      questionAlone: (n) => `Question ${n}`,
      questionsFrom: (from, to) => `Questions ${from} à ${to}`,
      besides: 'Pour les questions suivantes',
      newBeside: (name) => `Nouveau à côté des questions : ${name}.`,
      show: 'Montrer',
      hide: 'Cacher',
      checkHandedIn: 'Vérifier si ma copie est rendue',
      earlier: (attempt) => `Résultats de l’essai ${attempt}`,
      earlierFailed: 'Une réponse n’est pas encore enregistrée : réessaie dans un instant.',
    },
    keep: {
      saving: 'Enregistrement…',
      saved: (at) => `Enregistré sur cet appareil à ${g.time(at)}`,
      asYouGo: 'Tes réponses sont enregistrées sur cet appareil au fur et à mesure.',
      onPage: 'Sur cette page seulement',
      received: (at: number) => `Reçu à ${g.time(at)}`,
      unsent: (at: number) => `Enregistré sur cet appareil à ${g.time(at)}, pas encore envoyé`,
      trouble: {
        closed: 'Le quiz est fermé. Tout ce qui était enregistré avant est en sécurité.',
        locked:
          'Ta copie est bloquée, car la page a été quittée. La réponse est encore là, et sera enregistrée une fois la copie débloquée.',
        handedIn: 'Cette copie est déjà rendue, peut-être dans un autre onglet.',
        storage:
          'Cet appareil ne peut pas enregistrer ta réponse : sa mémoire est pleine ou bloquée. La réponse est encore sur cette page ; libère de la place et continue d’écrire.',
        passed: 'Tu as quitté cette page : ses réponses restent telles quelles.',
        missing: 'Une question obligatoire n’a pas encore de réponse.',
        unknown: 'Cette réponse n’a pas pu être enregistrée. Elle est encore sur cette page.',
      },
    },
    hints: {
      all: 'Indices',
      one: 'Indice',
      numbered: (n) => `Indice ${n}`,
      show: (value) => `Montrer un indice (${price(value)})`,
      another: (value) => `Un autre indice (${price(value)})`,
      failed: 'L’indice n’a pas pu être montré. Rien n’est retiré tant qu’il reste caché. Réessaie.',
    },
    last: {
      ready: 'Tu es prêt à rendre ta copie ?',
      allAnswered: (n) => (n === 1 ? 'La question a une réponse.' : `Les ${n} questions ont une réponse.`),
      missing: (n) => `${n} ${g.plural(n, 'question n’a', 'questions n’ont')} pas encore de réponse :`,
      begun: (n) => `${n} ${g.plural(n, 'question n’a', 'questions n’ont')} qu’une partie de réponse :`,
      noText: 'Question sans texte',
      must: (n) =>
        `Avant de rendre ta copie, réponds à ${g.plural(n, 'une question obligatoire', `${n} questions obligatoires`)}.`,
      once: 'Tu ne peux rendre ta copie qu’une fois ; après, on ne peut plus rien changer.',
      fixed: 'Ce qui est rendu ne peut plus être changé.',
      handIn: 'Rendre ma copie',
      failed:
        'Copie non rendue : une de tes réponses n’a pas pu être enregistrée. Tout est encore sur cette page. Réessaie.',
    },
    results: {
      of: (student) => `Résultats de ${student}`,
      handedIn: (at) => `Rendu le ${g.dayAndTime(at)}. Ta copie est bien arrivée.`,
      collected: (at, how) =>
        `Ramassé automatiquement ${how === 'closed' ? 'à la fermeture du quiz' : 'à la fin de ton temps'}, le ${g.dayAndTime(at)}. Ta copie est bien arrivée.`,
      handedInAt: (at) => `Rendu le ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Ramassé tel quel, le ${g.dayAndTime(at)}`,
      fromFile: 'D’un fichier',
      attemptOf: (n, of) => `essai ${n} sur ${of}`,
      imported: 'Ton professeur a importé ta copie. Elle est bien arrivée.',
      cameAfter: (n) =>
        `${g.count(n, 'réponse est arrivée', 'réponses sont arrivées')} après la fin. Ton professeur le voit et décide.`,
      tooLate:
        'Elle est arrivée après la fermeture du quiz : elle ne compte que si ton professeur l’accepte.',
      voided: 'Ton professeur ne compte pas cet essai.',
      attempts: 'Essais',
      attempt: (n) => `Essai ${n}`,
      goOn: (n) => `Continuer l’essai ${n}`,
      again: 'Refaire le quiz',
      againFailed:
        'Le quiz n’a pas pu commencer : cet appareil n’a peut-être plus de place. Rien n’est perdu. Réessaie.',
      question: (n) => `Question ${n}`,
      soOften: (most, done, how) =>
        `${often(most)}${most === null ? '' : `, et tu l’as fait ${times(done)}`} ; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Note retenue : ${g.points(score)} sur ${g.points(outOf)}${waiting.n > 0 ? ` pour l’instant (${g.points(waiting)} pas encore corrigés)` : ''} ; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} sur ${g.points(outOf)}`,
      waiting: (waiting) => `${pts(waiting)} à corriger`,
      soFar: (waiting) => `pour l’instant ; ${pts(waiting)} à corriger`,
      late: (before, share, of) =>
        `${g.points(before)}, moins ${g.percent(share)} des points ${ofPoints(of)} pour le retard`,
      classDid: (papers, figures, outOf) =>
        `La classe, ${g.count(papers, 'copie', 'copies')} : moyenne ${g.decimal(figures[0])}, médiane ${g.decimal(figures[2])}, la moitié de la classe a entre ${g.decimal(figures[1])} et ${g.decimal(figures[3])} sur ${g.points(outOf)}.`,
      verdicts: {
        right: 'Juste',
        partly: 'Juste en partie',
        wrong: 'Pas juste',
        waits: 'Pas encore corrigé',
        blank: 'Pas de réponse',
        unmarked: '',
      },
      standings: {
        notMarked: 'sans points',
        leftOut: 'écartée, sans points',
        given: 'tous les points pour tout le monde',
        givenToAnswered: 'tous les points pour toute réponse',
        bonus: 'bonus',
      },
      hintsCost: (value) => `, moins ${pts(value)} pour les indices`,
      errors: (n) => `, avec des points en moins pour ${g.count(n, 'faute de frappe', 'fautes de frappe')}`,
      teacher: 'Ton professeur',
      yourHint: 'Ton indice',
      yourAnswer: 'Ta réponse',
      rightAnswer: 'Bonne réponse',
      met: (n) => `ta question ${n}`,
      noAnswer: 'pas de réponse',
      or: 'ou',
      given: {
        choices: 'Au choix',
        rows: 'Au choix dans chaque ligne',
        order: 'À mettre dans l’ordre',
        boxes: 'À classer',
        pairs: 'À associer',
        picture: 'L’image',
        text: 'Le texte',
      },
      links: { read: 'Lire', watch: 'Regarder', practise: 'S’exercer' },
      said: {
        true: 'vrai',
        false: 'faux',
        gone: 'un choix qui n’existe plus',
        noBox: 'ne va dans aucune boîte',
        noMatch: 'ne va avec rien',
      },
    },
    plan: {
      parts: {
        score: 'ta note',
        rightWrong: 'ce qui était juste ou faux',
        questions: 'les questions',
        ownAnswers: 'tes réponses',
        feedback: 'les retours',
        rightAnswers: 'les bonnes réponses',
        comments: 'les commentaires de ton professeur',
        classDid: 'les résultats de la classe',
      },
      list: g.list,
      before: (parts, when) => `${parts} : ${when}.`,
      after: (parts, when) => `À venir – ${parts} : ${when}.`,
      handedIn: 'dès que tu rends ta copie',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${units[unit](amount)} après ${wait(what, scope)[1]}`,
      closed: 'quand le quiz est fermé',
      on: (at, closing, latest) =>
        `le ${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}${latest ? ' au plus tard' : ''}`,
    },
    media: {
      picture: 'Image',
      sound: 'Son',
      video: 'Vidéo',
      cannotPlay: (name) => `${name} : lecture impossible ici. Recharge la page pour réessayer.`,
      saidIn: 'Ce qui est dit',
      saidAndShown: 'Ce qui est dit et montré',
    },
    picking: {
      clear: 'Effacer ma réponse',
      clearRow: 'Effacer',
      clearOf: (row) => `Effacer ma réponse à « ${row} »`,
      cleared: 'Ta réponse est effacée.',
      several: 'Coche tout ce qui convient.',
      severalRow: 'coche tout ce qui convient',
      true: 'Vrai',
      false: 'Faux',
    },
    pairing: {
      how: 'Choisis ce qui va avec chacun.',
      howNone: 'Choisis ce qui va avec chacun ; certains ne vont avec rien.',
      choose: 'choisir',
      none: 'ne va avec rien',
      which: (name) => `Qu’est-ce qui va avec « ${name} » ?`,
      taken: (name) => `« ${name} » n’est plus associé.`,
    },
    sorting: {
      none: 'Ne va dans aucune boîte',
      toSort: 'À classer',
      sorted: 'Tout est classé',
      how: 'Appuie sur un élément et choisis sa boîte, ou fais-le glisser.',
      unsorted: 'pas encore classé',
      which: (name) => `Où va « ${name} » ?`,
      takeOut: 'le retirer',
      taken: (name) => `« ${name} » n’est plus classé.`,
    },
    filling: {
      gap: (n) => `Trou ${n}`,
      bank: 'Mots pour les trous. Appuie sur un mot pour le mettre dans le prochain trou vide.',
      filled: (word, n) => `« ${word} » est dans le trou ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `Monter « ${name} », maintenant ${at} sur ${of}`,
      down: (name, at, of) => `Descendre « ${name} », maintenant ${at} sur ${of}`,
      now: (name, at, of) => `« ${name} » est maintenant ${at} sur ${of}.`,
      how: 'Fais glisser les éléments, ou utilise leurs flèches.',
      untouched: 'Tant que tu ne bouges rien, il n’y a pas de réponse.',
      leave: 'Laisser dans cet ordre',
      left: 'Cet ordre est ta réponse.',
    },
    spotting: {
      one: 'Appuie à l’endroit voulu sur l’image.',
      several: (n, left) => `Appuie sur ${n} endroits de l’image${left === null ? '' : ` ; encore ${left}`}.`,
      noPicture: 'L’image manque. Dis-le à ton professeur.',
      spot: (n) => `Point ${n}`,
      at: (x, y) => `à ${x} de la gauche, à ${y} du haut`,
      how: 'Fais-le glisser, ou déplace-le avec les flèches',
      byKeys: 'Placer un point au clavier',
      take: (n) => `Enlever le point ${n}`,
      taken: (n) => `Le point ${n} est enlevé.`,
    },
    writing: {
      words: (n) => g.count(n, 'mot', 'mots'),
      wordsOf: (n, most) => `${n} sur ${g.count(most, 'mot', 'mots')} au plus`,
      over: (n) => `${g.count(n, 'mot', 'mots')} de trop`,
      marked: 'Ton professeur corrige cette réponse.',
      letters: 'Lettres spéciales',
      letter: (letter) => `Écrire ${letter}`,
      capitals: 'Majuscules',
    },
  };
};
