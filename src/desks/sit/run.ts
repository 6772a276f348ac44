/** Starts work whose failure is said by what it does itself. */
export function run(work: () => Promise<unknown>): void {
  work().catch(() => undefined);
}
