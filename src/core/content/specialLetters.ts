/** Letters of a language that keyboards of other languages lack, small ones, in the order of its alphabet. */
const LETTERS: Readonly<Record<string, string>> = {
  cs: 'áčďéěíňóřšťúůýž',
  da: 'æøå',
  de: 'äöüß',
  es: 'áéíñóúü¿¡',
  fi: 'åäö',
  fr: 'àâæçéèêëîïôœùûü',
  hu: 'áéíóöőúüű',
  it: 'àèéìòù',
  nl: 'éèëïö',
  no: 'æøå',
  pl: 'ąćęłńóśźż',
  pt: 'áàâãçéêíóôõú',
  ro: 'ăâîșț',
  sv: 'åäö',
  tr: 'çğıöşü',
};

/** The special letters of a language by its tag, such as `de` or `pt-BR`; none where it has none. */
export const specialLetters = (language: string): string[] => [
  ...(LETTERS[language.split('-')[0]?.toLowerCase() ?? ''] ?? ''),
];

/** The capital of a letter in its language: Turkish i has a dot. */
export const capitalOf = (letter: string, language: string): string => letter.toLocaleUpperCase(language);
