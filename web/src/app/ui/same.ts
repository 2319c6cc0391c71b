/** Do two documents say the same? What is typed is linked to what a document says, not to the document: the same one coming back changes nothing. */
export function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
