import { v5 } from 'uuid';

/** The id of an operation that was not stored yet: the same for the same decision and key, whoever works it out. */
export function idOf(decision: string, key: string): string {
  return v5(`${decision}/${key}`, SPACE);
}

/** Any fixed UUID: the name space of operations. */
const SPACE = '6f1d2c3a-4b5e-4f60-8a71-92b3c4d5e6f7';
