/** A place where a file is no such file any more; `where`: its line, and what stands there. */
export class Damage extends Error {
  constructor(readonly where: string) {
    super(where);
  }
}
