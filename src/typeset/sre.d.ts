/** The part of the speaker that is used here. */
declare module 'speech-rule-engine' {
  const speaker: {
    /** Waits until the rules are read. */
    engineReady(): Promise<unknown>;
    toSpeech(mathml: string): string;
  };
  export default speaker;
}
