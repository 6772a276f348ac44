/** What the core knows of a picture's bytes: it hands them on. The platform has the rest. */
interface Blob {
  readonly size: number;
  readonly type: string;
}
