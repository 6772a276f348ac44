/** What comes of `demo/import/answers-flawed.csv`, worked out apart from the application. */

/** What each answer of the flawed file earns, worked out by hand from the key, question by question. */
export const WORKSHEET: Readonly<Record<string, readonly number[]>> = {
  'Alva Creek': [1, 2, 1, 2, 2, 1, 1, 2],
  'Bram Spate': [1, 1.8, 1, 0, 0, 0.5, 1, 1],
  'Cleo Ripple': [1, 1, 0, 0, 2, 1, 0, 0],
  'Dov Gravel': [1, 2, 1, 1, 2, 1, 1, 1.5],
  'Elin Bank': [0, 0, 1, 0, 2, 1, 1, 2],
  'Finn Shoal': [1, 2, 1, 0, 0, 0, 0, 0],
  'Ines Délta': [0, 0, 0, 0, 0, 1, 1, 2],
  'Jonas Run': [1, 2, 1, 0, 2, 1, 1, 0],
  'Visitor Mill': [1, 2, 1, 2, 2, 1, 1, 2],
};
/** Who wrote the form that the key had not foreseen: 2 points for question 4. */
export const FLOOD_PLAIN = ['Bram Spate', 'Cleo Ripple', 'Elin Bank', 'Ines Délta', 'Jonas Run'];
