/** The part of the CSV library that the core uses, without its browser and Node types. */
declare module 'papaparse' {
  interface ParseResult {
    data: string[][];
    errors: { type: string; code: string; message: string; row?: number }[];
  }
  interface Papa {
    parse(text: string, settings: { delimiter: string; preview?: number }): ParseResult;
    unparse(
      rows: (string | number | null)[][],
      settings: { newline: string; quotes?: (cell: string | number | null) => boolean },
    ): string;
  }
  const papa: Papa;
  export default papa;
}
