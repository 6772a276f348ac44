/** The part of the XML reader that is used here. */
declare module 'saxen' {
  type Decode = (text: string) => string;
  export class Parser {
    on(
      event: 'openTag',
      call: (name: string, attributes: () => Record<string, string>, decode: Decode) => void,
    ): this;
    on(event: 'closeTag', call: (name: string) => void): this;
    on(event: 'error', call: (error: Error) => void): this;
    parse(xml: string): this;
  }
}
