/** Words that say something about a number, and are nothing that it counts: operations, comparisons, ranges, numbers, parts, rounding. */
const NO_NOUNS = {
  en:
    'plus minus times over by divided multiplied squared cubed power root factorial sum difference product mod modulo ' +
    'more less fewer greater smaller larger bigger than least most under above below up down at about around approximately roughly nearly almost ' +
    'or and to till until between from through per is equals equal not no negative positive non never without point recurring repeating repeated ' +
    'dozen dozens score pair pairs couple half halves third thirds quarter quarters fifth fifths tenth tenths hundredth hundredths thousandth thousandths ' +
    'sin cos tan log exp sqrt zero one two three four five six seven eight nine ten eleven twelve twenty thirty forty fifty hundred hundreds thousand thousands million millions billion billions trillion ' +
    'remainder rem left approx circa pi ln lg mod st nd rd th ca of',
  de:
    'oder und bis mal geteilt durch hoch quadrat mehr weniger größer kleiner als mindestens höchstens etwa ungefähr rund knapp nicht kein keine negativ komma periode rest dutzend paar halb halbe drittel viertel fünftel zehntel ' +
    'hundert tausend million millionen milliarde milliarden',
  fr:
    'ou et à fois divisé carré cube moins supérieur inférieur environ pas non négatif virgule reste douzaine demi tiers quart plus ' +
    'cent mille million millions milliard milliards',
  es:
    'o y a más mas menos por dividido entre cuadrado cubo mayor menor que aproximadamente unos negativo coma resto docena medio tercio cuarto mil millón millones',
  it: 'e o più piu meno per diviso quadrato maggiore minore di circa non negativo virgola resto dozzina mezzo terzo quarto mila milione milioni miliardo miliardi',
  pt: 'ou e mais menos vezes dividido maior menor cerca não nao negativo vírgula resto dúzia meio terço quarto mil milhão milhões',
  nl: 'of en tot keer gedeeld kwadraat meer minder dan ongeveer niet geen negatief komma rest dozijn half derde kwart duizend miljoen miljard',
}; // prettier-ignore

const NO_NOUN: ReadonlySet<string> = new Set(Object.values(NO_NOUNS).flatMap((words) => words.split(' ')));

/** Whether a word says something about the number in front of it, in whichever language. Single letters do not. */
export const saysOfNumber = (word: string): boolean =>
  word.length > 1 && NO_NOUN.has(word.toLowerCase().replace(/\.$/, ''));

/** Whether a word can be what a number counts: three letters or more, and nothing that is said of the number itself. */
export const isPlainNoun = (word: string): boolean =>
  /^\p{L}{3,}\.?$/u.test(word) && !NO_NOUN.has(word.toLowerCase().replace(/\.$/, ''));
