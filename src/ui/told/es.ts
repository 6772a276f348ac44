import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in Spanish. */
export const es = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'punto', 'puntos')}`;
  const minutes = (n: number) => g.count(n, 'minuto', 'minutos');
  const times = (n: number) => ['ninguna vez', 'una vez', 'dos veces'][n] ?? `${n} veces`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'hora', 'horas'),
    day: (n) => g.count(n, 'día', 'días'),
  };
  const whose = (scope: Scope) => ({ all: 'todos', class: 'toda tu clase', group: 'todo tu grupo' })[scope];
  const done = (scope: Scope) =>
    `${scope === 'all' ? 'todos hayan entregado' : `${whose(scope)} haya entregado`} o se acabe el tiempo`;
  const counts: Readonly<Record<Counts, string>> = {
    best: 'cuenta tu mejor intento',
    latest: 'cuenta tu último intento',
    first: 'cuenta tu primer intento',
    mean: 'cuenta la media de tus intentos',
  };
  const often = (most: number | null) =>
    most === null
      ? 'Puedes hacer este cuestionario tantas veces como quieras'
      : `Puedes hacer este cuestionario ${times(most)}`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['en cuanto entregues', 'tu entrega'],
      closed: ['cuando tu docente cierre el cuestionario', 'que el cuestionario se cierre para ti'],
      allClosed: [
        `cuando el cuestionario se haya cerrado para ${whose(scope)}`,
        `que el cuestionario se cierre para ${whose(scope)}`,
      ],
      allDone: [`cuando ${done(scope)}`, `que ${done(scope)}`],
      date: ['en una fecha fijada', 'una fecha fijada'],
      marked: ['cuando todo esté corregido', 'que todo esté corregido'],
      lastAttempt: ['después de tu último intento', 'tu último intento'],
      byTeacher: ['cuando tu docente lo muestre', 'que tu docente lo muestre'],
      takenBack: ['cuando tu docente lo vuelva a mostrar', 'que tu docente lo vuelva a mostrar'],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'obtenidos' : 'posibles');
  const price = (value: Fraction) => (value.n === 0 ? 'gratis' : `cuesta ${pts(value)}`);
  return {
    again: 'Intentarlo de nuevo',
    page: {
      loading: 'Cargando tu trabajo…',
      cannotOpen: 'Tu trabajo no se puede abrir aquí',
      cannotOpenWhy:
        'No se ha perdido nada. Inténtalo de nuevo; si no funciona, abre la dirección en una ventana normal o en otro navegador.',
      handedIn: 'Entregado',
      timeOver: 'Se ha acabado el tiempo',
      restToCome:
        'Todo lo guardado se conserva. Lo que sigue no se ha podido cargar: inténtalo de nuevo en un momento.',
      nothingHandedIn: (outOf) => `Tienes 0 de ${pts(outOf)}, porque no se entregó nada.`,
      noPaper: 'No hay ningún trabajo en esta dirección',
      noPaperWhy: 'Comprueba la dirección con tu docente. No se ha perdido nada.',
      takenBack:
        'Tu docente ha retirado el cuestionario por ahora. Tus respuestas se conservan y tu tiempo está parado. Esta página seguirá sola.',
      notOpen: 'Este cuestionario no está abierto. Pregunta a tu docente cuándo lo estará.',
      opens: (at) => `Se abre el ${g.dayAndTime(at)}. Esta página lo abrirá sola.`,
      locked:
        'Has estado más de dos minutos fuera de esta página, así que tu trabajo está bloqueado. Lo que habías respondido se conserva. Pide a tu docente que lo desbloquee; después esta página seguirá sola.',
      notHandedIn:
        'El cuestionario se ha cerrado. Lo que no se entregó no cuenta en este cuestionario. Pregunta a tu docente.',
      lockedNow: 'Esta página está bloqueada por ahora.',
      unlocked: 'Tu trabajo está desbloqueado. Puedes seguir.',
      stopped: 'Esta página ha dejado de funcionar',
      stoppedWhy: 'Lo que has respondido hasta ahora está guardado en este dispositivo.',
    },
    ticket: {
      title: 'Tu tique',
      how: 'Escribe los 8 signos de tu tique. Las mayúsculas y el guion dan igual.',
      label: 'Tique',
      go: 'Continuar',
      empty: 'Escribe primero tu tique.',
      strange: (sign: string) => `En un tique no hay ningún «${sign}». Mira otra vez el tuyo.`,
      length: (n: number) => `Un tique tiene 8 signos, y este tiene ${n}.`,
      slip: 'Uno de los signos no es correcto. Mira otra vez tu tique.',
      nobodys: 'Nadie tiene este tique. Mira otra vez el tuyo o pregunta a tu docente.',
      other: 'Usar otro tique',
      mine: (ticket: string) => `Tique ${ticket}`,
    },
    file: {
      what: 'Este cuestionario es un archivo: no envía nada. Al final guardas tus respuestas y se las das a tu docente.',
      noScripts:
        'Este cuestionario es un archivo que necesita un navegador. Si solo ves este texto, abre el archivo en un navegador o pide otra forma a tu docente.',
      clock: 'Todas las horas son las de este dispositivo.',
      noHints: 'Las pistas no están en este archivo.',
      results: 'Tus resultados te los da tu docente.',
      asOften: 'Puedes cambiar tus respuestas y guardarlas otra vez: cuentan las últimas.',
      once: 'Cuando se acaba tu tiempo, ya no puedes volver a tus respuestas.',
      notKept:
        'Este navegador no guarda nada de los archivos. Tus respuestas están solo en esta página: guárdalas antes de cerrarla.',
      review: 'Repasar y guardar',
      ready: '¿Listo para guardar tus respuestas?',
      save: 'Guardar mis respuestas',
      failed:
        'No se han podido guardar. Todo sigue en esta página. Inténtalo otra vez o cópialas como texto.',
      yours: 'Tus respuestas',
      saved: (file: string) => `Guardadas en el archivo ${file}. Dale este archivo a tu docente.`,
      over: 'Se ha acabado el tiempo. Guarda tus respuestas y dáselas a tu docente.',
      notSaved: 'Todavía no están guardadas en un archivo.',
      again: 'Guardarlas otra vez',
      copy: 'Copiarlas como texto',
      copied: 'Copiado. Pega el texto en un mensaje a tu docente.',
      text: 'Tus respuestas como texto',
      select: 'Este navegador no copia. Selecciona este texto, cópialo y envíaselo a tu docente.',
      back: 'Volver a mis respuestas',
      opens: (at: number) => `Se abre el ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Se cerró el ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `Cuestionarios de ${student}`,
      toDo: 'Por hacer',
      done: 'Entregados',
      nothing: 'Ahora mismo no tienes nada que hacer.',
      opens: (at: number) => `se abre el ${g.dayAndTime(at)}`,
      until: (at: number) => `abierto hasta el ${g.dayAndTime(at)}`,
      due: (at: number) => `se entrega el ${g.dayAndTime(at)}`,
      working: 'empezado',
      locked: 'bloqueado',
      closed: 'cerrado',
      results: 'resultados',
      noResults: 'aún sin resultados',
      back: 'Todos mis cuestionarios',
      away: 'No hay conexión. Lo que has respondido se conserva en este dispositivo. Inténtalo otra vez dentro de un momento.',
      receipt: (code: string) => `Recibo ${code}. Con él tu docente puede ver que este trabajo ha llegado.`,
      notHandedIn:
        'Aún sin entregar: no hay conexión. Tus respuestas se conservan en este dispositivo. Inténtalo otra vez cuando tengas conexión.',
    },
    cover: {
      paperOf: (student) => `Trabajo de ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'pregunta', 'preguntas')}, ${pts(points)}${scaledTo ? `; tu nota se da sobre ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Abierto hasta que tu docente lo cierre.',
      until: (at) => `Abierto hasta el ${g.dayAndTime(at)}.`,
      limit: (n) =>
        `Tienes ${minutes(n)} desde que empieces, y el tiempo sigue corriendo aunque cierres la página.`,
      due: (at, grace) =>
        `Para entregar el ${g.dayAndTime(at)}${grace > 0 ? `, con ${minutes(grace)} más antes de que cuente como tarde` : ''}.`,
      overdue: 'Ya ha pasado: lo que entregues ahora llega tarde.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'Entregar tarde no cuesta nada.';
        const of = `de los puntos ${ofPoints(rule.of)}`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, ${g.percent(rule.cap)} como mucho`;
          return `Cada ${rule.step === 'hour' ? 'hora empezada' : 'día empezado'} de retraso cuesta ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} hasta ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `Lo que llega tarde pierde una parte ${of}: ${rows.join(', ')}${after ? `, ${g.percent(after.share)} después` : ''}.`;
      },
      often: (most, how) => `${often(most)}; ${counts[how]}.`,
      comingBack:
        'Tus respuestas se guardan a medida que avanzas: puedes salir y volver en este dispositivo.',
      staying:
        'Tus respuestas se guardan a medida que avanzas. Quédate en esta página hasta entregar: si sales dos minutos, se bloquea hasta que tu docente la desbloquee.',
      noGoingBack:
        'No puedes volver atrás: cuando sigues adelante, las respuestas de una página se quedan como están.',
      handInOnce: 'Solo puedes entregar una vez.',
      handInLast: 'Se entrega en la última página.',
      changeOnce: 'Puedes cambiarlas hasta que entregues. Solo puedes entregar una vez.',
      change: 'Puedes cambiarlas hasta que entregues.',
      taken: 'Lo que no esté entregado al cierre se recogerá tal como esté.',
      notCounted: 'Lo que no esté entregado al cierre no cuenta.',
      expected: 'Qué se espera',
      from: (share) => `desde ${g.percent(share)}`,
      whenResults: 'Cuándo llegan los resultados',
      begin: 'Empezar',
      beginFailed:
        'No se ha podido empezar el cuestionario: quizá no queda espacio en este dispositivo. No se ha perdido nada. Libera espacio y pulsa otra vez «Empezar».',
      noQuestions: 'Este cuestionario aún no tiene preguntas.',
    },
    work: {
      until: (at) => `hasta el ${g.dayAndTime(at)}`,
      due: (at) => `para el ${g.dayAndTime(at)}`,
      lateSince: (at) => `tarde desde el ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `${g.plural(n, 'queda', 'quedan')} ${minutes(n)}`,
      secondsLeft: (n) => `${g.plural(n, 'queda', 'quedan')} ${g.count(n, 'segundo', 'segundos')}`,
      soon: 'Quedan menos de cinco minutos.',
      last: 'El último minuto.',
      soonTaken: 'Lo que has respondido está guardado y se entregará solo al final.',
      soonNotTaken: 'Entrega antes del final: lo que no esté entregado para entonces no cuenta.',
      pages: 'Preguntas',
      back: 'Atrás',
      next: 'Siguiente',
      review: 'Revisar y entregar',
      cannotGoBack: 'No puedes volver atrás.',
      goingOn: 'Seguimos…',
      mustFirst: 'Hay que responder a esto antes de seguir.',
      stillHere:
        'Sigues en esta página: no se ha podido salir de ella. No se ha perdido nada. Inténtalo de nuevo.',
      toRead: 'Para leer, sin respuesta',
      question: (n, of) => `Pregunta ${n} de ${of}`,
      worth: (value) => (value.n === 0 ? 'sin puntos' : pts(value)),
      mustAny: 'hay que responder',
      mustEvery: 'hay que responder a cada parte',
      onlyToRead: 'Para leer',
      questionAlone: (n) => `Pregunta ${n}`,
      questionsFrom: (from, to) => `Preguntas ${from} a ${to}`,
      besides: 'Para las siguientes preguntas',
      newBeside: (name) => `Nuevo junto a las preguntas: ${name}.`,
      show: 'Mostrar',
      hide: 'Ocultar',
      checkHandedIn: 'Comprobar si mi trabajo está entregado',
      earlier: (attempt) => `Resultados del intento ${attempt}`,
      earlierFailed: 'Una respuesta aún no está guardada: inténtalo de nuevo en un momento.',
    },
    keep: {
      saving: 'Guardando…',
      saved: (at) => `Guardado en este dispositivo a las ${g.time(at)}`,
      asYouGo: 'Tus respuestas se guardan en este dispositivo a medida que avanzas.',
      onPage: 'Solo en esta página',
      received: (at: number) => `Recibido a las ${g.time(at)}`,
      unsent: (at: number) => `Guardado en este dispositivo a las ${g.time(at)}, sin enviar todavía`,
      trouble: {
        closed: 'El cuestionario se ha cerrado. Todo lo guardado antes está a salvo.',
        locked:
          'Tu trabajo está bloqueado porque saliste de la página. La respuesta sigue aquí y se guardará cuando se desbloquee.',
        handedIn: 'Este trabajo ya está entregado, quizá en otra pestaña.',
        storage:
          'Este dispositivo no puede guardar tu respuesta: su memoria está llena o bloqueada. La respuesta sigue en esta página; libera espacio y continúa escribiendo.',
        passed: 'Ya has salido de esta página: sus respuestas se quedan como estaban.',
        missing: 'Una pregunta obligatoria aún no tiene respuesta.',
        unknown: 'Esta respuesta no se ha podido guardar. Sigue en esta página.',
      },
    },
    hints: {
      all: 'Pistas',
      one: 'Pista',
      numbered: (n) => `Pista ${n}`,
      show: (value) => `Mostrar una pista (${price(value)})`,
      another: (value) => `Otra pista (${price(value)})`,
      failed: 'La pista no se ha podido mostrar. No se resta nada mientras siga oculta. Inténtalo de nuevo.',
    },
    last: {
      ready: '¿Todo listo para entregar?',
      allAnswered: (n) =>
        n === 1 ? 'La pregunta está respondida.' : `Las ${n} preguntas están respondidas.`,
      missing: (n) => `${n} ${g.plural(n, 'pregunta aún no tiene', 'preguntas aún no tienen')} respuesta:`,
      begun: (n) =>
        `${n} ${g.plural(n, 'pregunta está respondida', 'preguntas están respondidas')} solo en parte:`,
      noText: 'Pregunta sin texto',
      must: (n) => `Antes de entregar hay que responder a ${g.plural(n, 'una pregunta', `${n} preguntas`)}.`,
      once: 'Solo puedes entregar una vez; después no se puede cambiar nada.',
      fixed: 'Lo que se entrega ya no se puede cambiar.',
      handIn: 'Entregar',
      failed:
        'No entregado: una de tus respuestas no se ha podido guardar. Todo sigue en esta página. Inténtalo de nuevo.',
    },
    results: {
      of: (student) => `Resultados de ${student}`,
      handedIn: (at) => `Entregado el ${g.dayAndTime(at)}. Ha llegado bien.`,
      collected: (at, how) =>
        `Recogido automáticamente ${how === 'closed' ? 'al cerrarse el cuestionario' : 'al acabarse tu tiempo'}, el ${g.dayAndTime(at)}. Ha llegado bien.`,
      handedInAt: (at) => `Entregado el ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Recogido tal como estaba, el ${g.dayAndTime(at)}`,
      fromFile: 'De un archivo',
      attemptOf: (n, of) => `intento ${n} de ${of}`,
      imported: 'Tu docente ha importado tu trabajo. Ha llegado bien.',
      cameAfter: (n) =>
        `${g.count(n, 'respuesta llegó', 'respuestas llegaron')} después del final. Tu docente lo ve y decide.`,
      tooLate:
        'Llegó después del cierre del cuestionario, así que no cuenta a menos que tu docente lo acepte.',
      voided: 'Tu docente no cuenta este intento.',
      attempts: 'Intentos',
      attempt: (n) => `Intento ${n}`,
      goOn: (n) => `Seguir con el intento ${n}`,
      again: 'Hacer el cuestionario otra vez',
      againFailed:
        'No se ha podido empezar el cuestionario: quizá no queda espacio en este dispositivo. No se ha perdido nada. Inténtalo de nuevo.',
      question: (n) => `Pregunta ${n}`,
      soOften: (most, times2, how) =>
        `${often(most)}${most === null ? '' : `, y lo has hecho ${times(times2)}`}; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Nota que queda: ${g.points(score)} de ${g.points(outOf)}${waiting.n > 0 ? ` por ahora (${g.points(waiting)} sin corregir)` : ''}; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} de ${g.points(outOf)}`,
      waiting: (waiting) => `${g.points(waiting)} sin corregir`,
      soFar: (waiting) => `por ahora; ${g.points(waiting)} sin corregir`,
      late: (before, share, of) =>
        `${g.points(before)}, menos ${g.percent(share)} de los puntos ${ofPoints(of)} por entregar tarde`,
      classDid: (papers, figures, outOf) =>
        `La clase, ${g.count(papers, 'trabajo', 'trabajos')}: media ${g.decimal(figures[0])}, mediana ${g.decimal(figures[2])}, la mitad de la clase tiene entre ${g.decimal(figures[1])} y ${g.decimal(figures[3])} de ${g.points(outOf)}.`,
      verdicts: {
        right: 'Correcto',
        partly: 'Correcto en parte',
        wrong: 'No es correcto',
        waits: 'Sin corregir todavía',
        blank: 'Sin respuesta',
        unmarked: '',
      },
      standings: {
        notMarked: 'sin puntos',
        leftOut: 'excluida, sin puntos',
        given: 'todos los puntos para todos',
        givenToAnswered: 'todos los puntos por cualquier respuesta',
        bonus: 'puntos extra',
      },
      hintsCost: (value) => `, con ${pts(value)} menos por las pistas`,
      errors: (n) => `, con puntos menos por ${g.count(n, 'error al teclear', 'errores al teclear')}`,
      teacher: 'Tu docente',
      yourHint: 'Tu pista',
      yourAnswer: 'Tu respuesta',
      rightAnswer: 'Respuesta correcta',
      met: (n) => `tu pregunta ${n}`,
      noAnswer: 'sin respuesta',
      or: 'o',
      given: {
        choices: 'Para elegir',
        rows: 'Para elegir en cada fila',
        order: 'Para ordenar',
        boxes: 'Para clasificar',
        pairs: 'Para emparejar',
        picture: 'La imagen',
        text: 'El texto',
      },
      links: { read: 'Leer', watch: 'Ver', practise: 'Practicar' },
      said: {
        true: 'verdadero',
        false: 'falso',
        gone: 'una opción que ya no existe',
        noBox: 'no va en ninguna caja',
        noMatch: 'no tiene pareja',
      },
    },
    plan: {
      parts: {
        score: 'tu nota',
        rightWrong: 'qué estaba bien y qué mal',
        questions: 'las preguntas',
        ownAnswers: 'tus respuestas',
        feedback: 'las indicaciones',
        rightAnswers: 'las respuestas correctas',
        comments: 'los comentarios de tu docente',
        classDid: 'los resultados de la clase',
      },
      list: g.list,
      before: (parts, when) => `${parts}: ${when}.`,
      after: (parts, when) => `Aún por llegar – ${parts}: ${when}.`,
      handedIn: 'en cuanto entregues',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${units[unit](amount)} después de ${wait(what, scope)[1]}`,
      closed: 'cuando el cuestionario se haya cerrado',
      on: (at, closing, latest) =>
        `el ${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}${latest ? ' como muy tarde' : ''}`,
    },
    media: {
      picture: 'Imagen',
      sound: 'Sonido',
      video: 'Vídeo',
      cannotPlay: (name) =>
        `${name}: no se puede reproducir aquí. Vuelve a cargar la página para intentarlo de nuevo.`,
      saidIn: 'Lo que se dice',
      saidAndShown: 'Lo que se dice y se muestra',
    },
    picking: {
      clear: 'Borrar mi respuesta',
      clearRow: 'Borrar',
      clearOf: (row) => `Borrar mi respuesta a «${row}»`,
      cleared: 'Tu respuesta está borrada.',
      several: 'Marca todo lo que corresponda.',
      severalRow: 'marca todo lo que corresponda',
      true: 'Verdadero',
      false: 'Falso',
    },
    pairing: {
      how: 'Elige qué corresponde a cada cosa.',
      howNone: 'Elige qué corresponde a cada cosa; algunas no tienen pareja.',
      choose: 'elegir',
      none: 'no tiene pareja',
      which: (name) => `¿Qué corresponde a «${name}»?`,
      taken: (name) => `«${name}» ya no tiene nada elegido.`,
    },
    sorting: {
      none: 'No va en ninguna caja',
      toSort: 'Por clasificar',
      sorted: 'Todo está clasificado',
      how: 'Pulsa una cosa y elige su caja, o arrástrala.',
      unsorted: 'aún sin clasificar',
      which: (name) => `¿Dónde va «${name}»?`,
      takeOut: 'sacarla',
      taken: (name) => `«${name}» ya no está en ninguna caja.`,
    },
    filling: {
      gap: (n) => `Hueco ${n}`,
      bank: 'Palabras para los huecos. Pulsa una para ponerla en el siguiente hueco vacío.',
      filled: (word, n) => `«${word}» está en el hueco ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `Subir «${name}», ahora ${at} de ${of}`,
      down: (name, at, of) => `Bajar «${name}», ahora ${at} de ${of}`,
      now: (name, at, of) => `«${name}» es ahora ${at} de ${of}.`,
      how: 'Arrastra los elementos o usa sus flechas.',
      untouched: 'Mientras no muevas nada, no hay respuesta.',
      leave: 'Dejarlos en este orden',
      left: 'Este orden es tu respuesta.',
    },
    spotting: {
      one: 'Pulsa el lugar en la imagen.',
      several: (n, left) =>
        `Pulsa ${n} lugares de la imagen${left === null ? '' : `; ${g.plural(left, 'falta', 'faltan')} ${left}`}.`,
      noPicture: 'Falta la imagen. Díselo a tu docente.',
      spot: (n) => `Punto ${n}`,
      at: (x, y) => `a ${x} de la izquierda, a ${y} de arriba`,
      how: 'Arrástralo o muévelo con las flechas',
      byKeys: 'Poner un punto con el teclado',
      take: (n) => `Quitar el punto ${n}`,
      taken: (n) => `El punto ${n} está quitado.`,
    },
    writing: {
      words: (n) => g.count(n, 'palabra', 'palabras'),
      wordsOf: (n, most) => `${n} de ${g.count(most, 'palabra', 'palabras')} como máximo`,
      over: (n) => `${g.plural(n, 'sobra', 'sobran')} ${g.count(n, 'palabra', 'palabras')}`,
      marked: 'Tu docente corrige esta respuesta.',
      letters: 'Letras especiales',
      letter: (letter) => `Escribir ${letter}`,
      capitals: 'Mayúsculas',
    },
  };
};
