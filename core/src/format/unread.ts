/** Something in a drawing that would change its outlines and that is not read: the file is refused, by its name. */
export class Unread extends Error {
  constructor(readonly what: string) {
    super(what);
  }
}
