/** What programs are written with, and prose is not. */
const OF_CODE =
  /==|!=|&&|\|\||\+\+|\+=|::|=>|\(\)|\("|(?<![\p{L}\p{Nd}])\p{L}[\p{L}\p{Nd}]*_[\p{L}\p{Nd}_]+|;\s*$/u;

/** Whether a text looks like code, in which every sign counts. */
export const looksLikeCode = (text: string): boolean => OF_CODE.test(text);
