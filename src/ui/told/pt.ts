import type { Fraction } from '@/core/figures/fraction';
import type { Counts, DelayUnit, Late, LateOf, Scope, Wait } from './asked';
import type { Plainly, Told } from './en';
import type { Grammar } from './grammar';

/** What students are told, in Portuguese. */
export const pt = (g: Grammar): Told => {
  const pts = (value: Fraction) => `${g.points(value)} ${g.plural(value.n / value.d, 'ponto', 'pontos')}`;
  const minutes = (n: number) => g.count(n, 'minuto', 'minutos');
  const times = (n: number) => ['nenhuma vez', 'uma vez', 'duas vezes'][n] ?? `${n} vezes`;
  const units: Readonly<Record<DelayUnit, (n: number) => string>> = {
    minute: minutes,
    hour: (n) => g.count(n, 'hora', 'horas'),
    day: (n) => g.count(n, 'dia', 'dias'),
  };
  const whose = (scope: Scope) =>
    ({ all: 'todos', class: 'toda a tua turma', group: 'todo o teu grupo' })[scope];
  const done = (scope: Scope) =>
    `${scope === 'all' ? 'todos tiverem entregado' : `${whose(scope)} tiver entregado`} ou o tempo acabar`;
  const counts: Readonly<Record<Counts, string>> = {
    best: 'conta a tua melhor tentativa',
    latest: 'conta a tua última tentativa',
    first: 'conta a tua primeira tentativa',
    mean: 'conta a média das tuas tentativas',
  };
  const often = (most: number | null) =>
    most === null
      ? 'Podes fazer este questionário as vezes que quiseres'
      : `Podes fazer este questionário ${times(most)}`;
  const wait = (what: Wait, scope: Scope): Plainly => {
    const all: Readonly<Record<Wait, Plainly>> = {
      handedIn: ['assim que entregares', 'a tua entrega'],
      closed: ['quando o professor fechar o questionário', 'o fecho do questionário para ti'],
      allClosed: [
        `quando o questionário tiver fechado para ${whose(scope)}`,
        `o fecho do questionário para ${whose(scope)}`,
      ],
      allDone: [`quando ${done(scope)}`, `o momento em que ${done(scope)}`],
      date: ['a uma hora marcada', 'uma hora marcada'],
      marked: ['quando tudo estiver corrigido', 'o fim da correção'],
      lastAttempt: ['depois da tua última tentativa', 'a tua última tentativa'],
      byTeacher: ['quando o professor o mostrar', 'o momento em que o professor o mostrar'],
      takenBack: ['quando o professor o voltar a mostrar', 'o momento em que o professor o voltar a mostrar'],
    };
    return all[what];
  };
  const ofPoints = (of: LateOf) => (of === 'earned' ? 'obtidos' : 'possíveis');
  const price = (value: Fraction) => (value.n === 0 ? 'não custa nada' : `custa ${pts(value)}`);
  return {
    again: 'Tentar de novo',
    page: {
      loading: 'A carregar o teu trabalho…',
      cannotOpen: 'O teu trabalho não pode ser aberto aqui',
      cannotOpenWhy:
        'Não se perdeu nada. Tenta de novo; se não resultar, abre o endereço numa janela normal ou noutro navegador.',
      handedIn: 'Entregue',
      timeOver: 'O tempo acabou',
      restToCome:
        'Tudo o que está guardado mantém-se. Não foi possível carregar o que se segue: tenta de novo daqui a pouco.',
      nothingHandedIn: (outOf) => `Tens 0 de ${pts(outOf)}, porque não foi entregue nada.`,
      noPaper: 'Não há nenhum trabalho neste endereço',
      noPaperWhy: 'Confirma o endereço com o professor. Não se perdeu nada.',
      takenBack:
        'O professor retirou o questionário por agora. As tuas respostas mantêm-se e o teu tempo está parado. Esta página continua sozinha.',
      notOpen: 'Este questionário não está aberto. Pergunta ao professor quando estará.',
      opens: (at) => `Abre ${g.dayAndTime(at)}. Esta página abre-o sozinha.`,
      locked:
        'Saíste desta página durante mais de dois minutos, por isso o teu trabalho está bloqueado. O que tinhas respondido mantém-se. Pede ao professor que o desbloqueie; depois esta página continua sozinha.',
      notHandedIn:
        'O questionário fechou. O que não foi entregue não conta neste questionário. Pergunta ao professor.',
      lockedNow: 'Esta página está bloqueada por agora.',
      unlocked: 'O teu trabalho está desbloqueado. Podes continuar.',
      stopped: 'Esta página deixou de funcionar',
      stoppedWhy: 'O que respondeste até agora está guardado neste dispositivo.',
    },
    ticket: {
      title: 'A tua senha',
      how: 'Escreve os 8 sinais da tua senha. As maiúsculas e o traço não fazem diferença.',
      label: 'Senha',
      go: 'Continuar',
      empty: 'Escreve primeiro a tua senha.',
      strange: (sign: string) => `Não há nenhum «${sign}» numa senha. Vê outra vez a tua.`,
      length: (n: number) => `Uma senha tem 8 sinais, e esta tem ${n}.`,
      slip: 'Um dos sinais não está certo. Vê outra vez a tua senha.',
      nobodys: 'Ninguém tem esta senha. Vê outra vez a tua ou pergunta ao professor.',
      other: 'Usar outra senha',
      mine: (ticket: string) => `Senha ${ticket}`,
    },
    file: {
      what: 'Este questionário é um ficheiro: não envia nada. No fim guardas as tuas respostas e entrega-las ao professor.',
      noScripts:
        'Este questionário é um ficheiro que precisa de um navegador. Se só vês este texto, abre o ficheiro num navegador ou pede outra forma ao professor.',
      clock: 'Todas as horas são as deste dispositivo.',
      noHints: 'As pistas não fazem parte deste ficheiro.',
      results: 'Os teus resultados são-te dados pelo professor.',
      asOften: 'Podes mudar as tuas respostas e guardá-las outra vez: contam as últimas.',
      once: 'Quando o teu tempo acaba, já não podes voltar às tuas respostas.',
      notKept:
        'Este navegador não guarda nada dos ficheiros. As tuas respostas estão só nesta página: guarda-as antes de a fechar.',
      review: 'Rever e guardar',
      ready: 'Pronto para guardar as tuas respostas?',
      save: 'Guardar as minhas respostas',
      failed:
        'Não foi possível guardá-las. Está tudo ainda nesta página. Tenta de novo ou copia-as como texto.',
      yours: 'As tuas respostas',
      saved: (file: string) => `Guardadas no ficheiro ${file}. Entrega este ficheiro ao professor.`,
      over: 'O tempo acabou. Guarda as tuas respostas e entrega-as ao professor.',
      notSaved: 'Ainda não estão guardadas num ficheiro.',
      again: 'Guardá-las outra vez',
      copy: 'Copiá-las como texto',
      copied: 'Copiado. Cola o texto numa mensagem ao professor.',
      text: 'As tuas respostas como texto',
      select: 'Este navegador não copia. Seleciona este texto, copia-o e envia-o ao professor.',
      back: 'Voltar às minhas respostas',
      opens: (at: number) => `Abre em ${g.dayAndTime(at)}.`,
      closed: (at: number) => `Fechou em ${g.dayAndTime(at)}.`,
    },
    own: {
      title: (student: string) => `Questionários de ${student}`,
      toDo: 'Por fazer',
      done: 'Entregues',
      nothing: 'De momento não tens nada para fazer.',
      opens: (at: number) => `abre em ${g.dayAndTime(at)}`,
      until: (at: number) => `aberto até ${g.dayAndTime(at)}`,
      due: (at: number) => `a entregar até ${g.dayAndTime(at)}`,
      working: 'começado',
      locked: 'bloqueado',
      closed: 'fechado',
      results: 'resultados',
      noResults: 'ainda sem resultados',
      back: 'Todos os meus questionários',
      away: 'Não há ligação. O que respondeste fica neste dispositivo. Tenta de novo daqui a pouco.',
      receipt: (code: string) => `Recibo ${code}. Com ele o professor pode ver que este trabalho chegou.`,
      notHandedIn:
        'Ainda por entregar: não há ligação. As tuas respostas ficam neste dispositivo. Tenta de novo quando tiveres ligação.',
    },
    cover: {
      paperOf: (student) => `Trabalho de ${student}`,
      size: (questions, points, scaledTo) =>
        `${g.count(questions, 'pergunta', 'perguntas')}, ${pts(points)}${scaledTo ? `; a tua pontuação é dada em ${g.points(scaledTo)}` : ''}.`,
      untilClosed: 'Aberto até o professor o fechar.',
      until: (at) => `Aberto até ${g.dayAndTime(at)}.`,
      limit: (n) => `Tens ${minutes(n)} desde que começas, e o tempo continua a contar com a página fechada.`,
      due: (at, grace) =>
        `Para entregar até ${g.dayAndTime(at)}${grace > 0 ? `, com mais ${minutes(grace)} antes de contar como atraso` : ''}.`,
      overdue: 'Já passou: o que entregares agora está atrasado.',
      late: (rule: Late) => {
        if (rule.kind === 'free') return 'O atraso não custa nada.';
        const of = `dos pontos ${ofPoints(rule.of)}`;
        if (rule.kind === 'steps') {
          const cap = rule.cap === null ? '' : `, no máximo ${g.percent(rule.cap)}`;
          return `Cada ${rule.step === 'hour' ? 'hora começada' : 'dia começado'} de atraso custa ${g.percent(rule.share)} ${of}${cap}.`;
        }
        const rows = rule.rows.map((row) => `${g.percent(row.share)} até ${units[row.unit](row.within)}`);
        const after = rule.rows.at(-1);
        return `O que chega atrasado perde uma parte ${of}: ${rows.join(', ')}${after ? `, ${g.percent(after.share)} depois` : ''}.`;
      },
      often: (most, how) => `${often(most)}; ${counts[how]}.`,
      comingBack: 'As tuas respostas vão sendo guardadas: podes sair e voltar neste dispositivo.',
      staying:
        'As tuas respostas vão sendo guardadas. Fica nesta página até entregares: se saíres durante dois minutos, fica bloqueada até o professor a desbloquear.',
      noGoingBack: 'Não podes voltar atrás: quando avanças, as respostas de uma página ficam como estão.',
      handInOnce: 'Só podes entregar uma vez.',
      handInLast: 'A entrega faz-se na última página.',
      changeOnce: 'Podes mudá-las até entregares. Só podes entregar uma vez.',
      change: 'Podes mudá-las até entregares.',
      taken: 'O que não estiver entregue à hora do fecho será recolhido como está.',
      notCounted: 'O que não estiver entregue à hora do fecho não conta.',
      expected: 'O que se espera',
      from: (share) => `a partir de ${g.percent(share)}`,
      whenResults: 'Quando chegam os resultados',
      begin: 'Começar',
      beginFailed:
        'Não foi possível começar o questionário: talvez não haja espaço neste dispositivo. Não se perdeu nada. Liberta espaço e carrega outra vez em «Começar».',
      noQuestions: 'Este questionário ainda não tem perguntas.',
    },
    work: {
      until: (at) => `até ${g.dayAndTime(at)}`,
      due: (at) => `para ${g.dayAndTime(at)}`,
      lateSince: (at) => `atrasado desde ${g.dayAndTime(at)}`,
      minutesLeft: (n) => `${g.plural(n, 'falta', 'faltam')} ${minutes(n)}`,
      secondsLeft: (n) => `${g.plural(n, 'falta', 'faltam')} ${g.count(n, 'segundo', 'segundos')}`,
      soon: 'Faltam menos de cinco minutos.',
      last: 'O último minuto.',
      soonTaken: 'O que respondeste está guardado e será entregue sozinho no fim.',
      soonNotTaken: 'Entrega antes do fim: o que não estiver entregue até lá não conta.',
      pages: 'Perguntas',
      back: 'Voltar',
      next: 'Seguinte',
      review: 'Rever e entregar',
      cannotGoBack: 'Não podes voltar atrás.',
      goingOn: 'A avançar…',
      mustFirst: 'É preciso responder a isto antes de avançar.',
      stillHere: 'Ainda estás nesta página: não foi possível sair dela. Não se perdeu nada. Tenta de novo.',
      toRead: 'Para ler, sem resposta',
      question: (n, of) => `Pergunta ${n} de ${of}`,
      worth: (value) => (value.n === 0 ? 'sem pontos' : pts(value)),
      mustAny: 'resposta obrigatória',
      mustEvery: 'cada parte é obrigatória',
      onlyToRead: 'Para ler',
      questionAlone: (n) => `Pergunta ${n}`,
      questionsFrom: (from, to) => `Perguntas ${from} a ${to}`,
      besides: 'Para as próximas perguntas',
      newBeside: (name) => `Novo ao lado das perguntas: ${name}.`,
      show: 'Mostrar',
      hide: 'Esconder',
      checkHandedIn: 'Ver se o meu trabalho foi entregue',
      earlier: (attempt) => `Resultados da tentativa ${attempt}`,
      earlierFailed: 'Uma resposta ainda não está guardada: tenta de novo daqui a pouco.',
    },
    keep: {
      saving: 'A guardar…',
      saved: (at) => `Guardado neste dispositivo às ${g.time(at)}`,
      asYouGo: 'As tuas respostas vão sendo guardadas neste dispositivo.',
      onPage: 'Só nesta página',
      received: (at: number) => `Recebido às ${g.time(at)}`,
      unsent: (at: number) => `Guardado neste dispositivo às ${g.time(at)}, ainda por enviar`,
      trouble: {
        closed: 'O questionário fechou. Tudo o que foi guardado antes está seguro.',
        locked:
          'O teu trabalho está bloqueado, porque saíste da página. A resposta continua aqui e será guardada quando for desbloqueado.',
        handedIn: 'Este trabalho já foi entregue, talvez noutro separador.',
        storage:
          'Este dispositivo não consegue guardar a tua resposta: a memória está cheia ou bloqueada. A resposta continua nesta página; liberta espaço e continua a escrever.',
        passed: 'Já saíste desta página: as suas respostas ficam como estavam.',
        missing: 'Uma pergunta obrigatória ainda não tem resposta.',
        unknown: 'Não foi possível guardar esta resposta. Continua nesta página.',
      },
    },
    hints: {
      all: 'Pistas',
      one: 'Pista',
      numbered: (n) => `Pista ${n}`,
      show: (value) => `Mostrar uma pista (${price(value)})`,
      another: (value) => `Outra pista (${price(value)})`,
      failed:
        'Não foi possível mostrar a pista. Nada é descontado enquanto estiver escondida. Tenta de novo.',
    },
    last: {
      ready: 'Tudo pronto para entregar?',
      allAnswered: (n) => (n === 1 ? 'A pergunta está respondida.' : `As ${n} perguntas estão respondidas.`),
      missing: (n) => `${n} ${g.plural(n, 'pergunta ainda não tem', 'perguntas ainda não têm')} resposta:`,
      begun: (n) =>
        `${n} ${g.plural(n, 'pergunta está respondida', 'perguntas estão respondidas')} só em parte:`,
      noText: 'Pergunta sem texto',
      must: (n) =>
        `Antes de entregares é preciso responder a ${g.plural(n, 'uma pergunta', `${n} perguntas`)}.`,
      once: 'Só podes entregar uma vez; depois nada pode ser mudado.',
      fixed: 'O que é entregue já não pode ser mudado.',
      handIn: 'Entregar',
      failed:
        'Não entregue: não foi possível guardar uma das tuas respostas. Está tudo ainda nesta página. Tenta de novo.',
    },
    results: {
      of: (student) => `Resultados de ${student}`,
      handedIn: (at) => `Entregue ${g.dayAndTime(at)}. Chegou bem.`,
      collected: (at, how) =>
        `Recolhido automaticamente ${how === 'closed' ? 'quando o questionário fechou' : 'quando o teu tempo acabou'}, ${g.dayAndTime(at)}. Chegou bem.`,
      handedInAt: (at) => `Entregue ${g.dayAndTime(at)}`,
      collectedAt: (at) => `Recolhido como estava, ${g.dayAndTime(at)}`,
      fromFile: 'De um ficheiro',
      attemptOf: (n, of) => `tentativa ${n} de ${of}`,
      imported: 'O professor importou o teu trabalho. Chegou bem.',
      cameAfter: (n) =>
        `${g.count(n, 'resposta chegou', 'respostas chegaram')} depois do fim. O professor vê e decide.`,
      tooLate: 'Chegou depois de o questionário fechar, por isso só conta se o professor o aceitar.',
      voided: 'O professor não conta esta tentativa.',
      attempts: 'Tentativas',
      attempt: (n) => `Tentativa ${n}`,
      goOn: (n) => `Continuar a tentativa ${n}`,
      again: 'Fazer o questionário outra vez',
      againFailed:
        'Não foi possível começar o questionário: talvez não haja espaço neste dispositivo. Não se perdeu nada. Tenta de novo.',
      question: (n) => `Pergunta ${n}`,
      soOften: (most, n, how) =>
        `${often(most)}${most === null ? '' : `, e já o fizeste ${times(n)}`}; ${counts[how]}.`,
      recorded: (score, outOf, waiting, how) =>
        `Registado: ${g.points(score)} de ${g.points(outOf)}${waiting.n > 0 ? ` por agora (${g.points(waiting)} por corrigir)` : ''}; ${counts[how]}.`,
      score: (earned, outOf) => `${g.points(earned)} de ${g.points(outOf)}`,
      waiting: (waiting) => `${g.points(waiting)} por corrigir`,
      soFar: (waiting) => `por agora; ${g.points(waiting)} por corrigir`,
      late: (before, share, of) =>
        `${g.points(before)}, menos ${g.percent(share)} dos pontos ${ofPoints(of)} pelo atraso`,
      classDid: (papers, figures, outOf) =>
        `A turma, ${g.count(papers, 'trabalho', 'trabalhos')}: média ${g.decimal(figures[0])}, mediana ${g.decimal(figures[2])}, metade da turma tem entre ${g.decimal(figures[1])} e ${g.decimal(figures[3])} de ${g.points(outOf)}.`,
      verdicts: {
        right: 'Certo',
        partly: 'Certo em parte',
        wrong: 'Não está certo',
        waits: 'Por corrigir',
        blank: 'Sem resposta',
        unmarked: '',
      },
      standings: {
        notMarked: 'sem pontos',
        leftOut: 'excluída, sem pontos',
        given: 'todos os pontos para todos',
        givenToAnswered: 'todos os pontos por qualquer resposta',
        bonus: 'bónus',
      },
      hintsCost: (value) => `, com menos ${pts(value)} pelas pistas`,
      errors: (n) => `, com pontos a menos por ${g.count(n, 'gralha', 'gralhas')}`,
      teacher: 'O professor',
      yourHint: 'A tua pista',
      yourAnswer: 'A tua resposta',
      rightAnswer: 'Resposta certa',
      met: (n) => `a tua pergunta ${n}`,
      noAnswer: 'sem resposta',
      or: 'ou',
      given: {
        choices: 'Para escolher',
        rows: 'Para escolher em cada linha',
        order: 'Para pôr por ordem',
        boxes: 'Para arrumar',
        pairs: 'Para ligar',
        picture: 'A imagem',
        text: 'O texto',
      },
      links: { read: 'Ler', watch: 'Ver', practise: 'Praticar' },
      said: {
        true: 'verdadeiro',
        false: 'falso',
        gone: 'uma opção que já não existe',
        noBox: 'não cabe em nenhuma caixa',
        noMatch: 'não tem par',
      },
    },
    plan: {
      parts: {
        score: 'a tua pontuação',
        rightWrong: 'o que estava certo e errado',
        questions: 'as perguntas',
        ownAnswers: 'as tuas respostas',
        feedback: 'os conselhos',
        rightAnswers: 'as respostas certas',
        comments: 'os comentários do professor',
        classDid: 'como se saiu a turma',
      },
      list: g.list,
      before: (parts, when) => `${parts}: ${when}.`,
      after: (parts, when) => `Ainda por chegar – ${parts}: ${when}.`,
      handedIn: 'assim que entregares',
      wait: (what, scope) => wait(what, scope)[0],
      waitAfter: (amount, unit, what, scope) => `${units[unit](amount)} após ${wait(what, scope)[1]}`,
      closed: 'quando o questionário tiver fechado',
      on: (at, closing, latest) =>
        `${latest ? 'o mais tardar ' : ''}${g.dayAndTime(at)}${closing === null ? '' : `, ${closing}`}`,
    },
    media: {
      picture: 'Imagem',
      sound: 'Som',
      video: 'Vídeo',
      cannotPlay: (name) =>
        `${name}: não é possível reproduzir aqui. Recarrega a página para tentar de novo.`,
      saidIn: 'O que se diz',
      saidAndShown: 'O que se diz e se mostra',
    },
    picking: {
      clear: 'Apagar a minha resposta',
      clearRow: 'Apagar',
      clearOf: (row) => `Apagar a minha resposta a «${row}»`,
      cleared: 'A tua resposta foi apagada.',
      several: 'Assinala tudo o que se aplica.',
      severalRow: 'assinala tudo o que se aplica',
      true: 'Verdadeiro',
      false: 'Falso',
    },
    pairing: {
      how: 'Escolhe o que pertence a cada um.',
      howNone: 'Escolhe o que pertence a cada um; alguns não têm par.',
      choose: 'escolher',
      none: 'não tem par',
      which: (name) => `O que pertence a «${name}»?`,
      taken: (name) => `«${name}» já não tem nada escolhido.`,
    },
    sorting: {
      none: 'Não cabe em nenhuma caixa',
      toSort: 'Por arrumar',
      sorted: 'Está tudo arrumado',
      how: 'Carrega num elemento e escolhe a caixa, ou arrasta-o.',
      unsorted: 'ainda por arrumar',
      which: (name) => `Onde pertence «${name}»?`,
      takeOut: 'tirar',
      taken: (name) => `«${name}» já não está em nenhuma caixa.`,
    },
    filling: {
      gap: (n) => `Espaço ${n}`,
      bank: 'Palavras para os espaços. Carrega numa para a pôr no próximo espaço vazio.',
      filled: (word, n) => `«${word}» está no espaço ${n}.`,
    },
    ordering: {
      up: (name, at, of) => `Subir «${name}», agora ${at} de ${of}`,
      down: (name, at, of) => `Descer «${name}», agora ${at} de ${of}`,
      now: (name, at, of) => `«${name}» é agora ${at} de ${of}.`,
      how: 'Arrasta os elementos, ou usa as setas.',
      untouched: 'Enquanto não moveres nada, não há resposta.',
      leave: 'Deixar por esta ordem',
      left: 'Esta ordem é a tua resposta.',
    },
    spotting: {
      one: 'Carrega no sítio na imagem.',
      several: (n, left) =>
        `Carrega em ${n} sítios na imagem${left === null ? '' : `; ${g.plural(left, 'falta', 'faltam')} ${left}`}.`,
      noPicture: 'Falta a imagem. Avisa o professor.',
      spot: (n) => `Ponto ${n}`,
      at: (x, y) => `${x} a partir da esquerda, ${y} a partir de cima`,
      how: 'Arrasta-o, ou move-o com as setas',
      byKeys: 'Pôr um ponto com o teclado',
      take: (n) => `Tirar o ponto ${n}`,
      taken: (n) => `O ponto ${n} foi tirado.`,
    },
    writing: {
      words: (n) => g.count(n, 'palavra', 'palavras'),
      wordsOf: (n, most) => `${n} de ${g.count(most, 'palavra', 'palavras')} no máximo`,
      over: (n) => `${g.count(n, 'palavra', 'palavras')} a mais`,
      marked: 'O professor corrige esta resposta.',
      letters: 'Letras especiais',
      letter: (letter) => `Escrever ${letter}`,
      capitals: 'Maiúsculas',
    },
  };
};
