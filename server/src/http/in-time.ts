import type { RequestHandler } from 'express';
import { sendProblem } from './errors.js';

/** A request that is not answered after so long asks whether the database still answers, and again after as long; ms. */
const PATIENCE = 2000;
/** And the database has so long to say so, ms. */
const PROBED = 2000;

/** Does the database answer in time? Asked over a connection of its own, so that a full pool is not taken for a database that hangs. */
export async function answersInTime(ask: () => Promise<unknown>): Promise<boolean> {
  const late = new Promise<boolean>((done) => setTimeout(() => done(false), PROBED).unref());
  const asked = ask().then(
    () => true,
    () => false,
  );
  return Promise.race([asked, late]);
}

/**
 * While the database hangs a request is told so within five seconds instead of never. What it was about may still be done when the database goes on: the same write id
 * then gets the first answer.
 */
export function answerInTime(probe: () => Promise<boolean>): RequestHandler {
  return (req, res, next) => {
    let timer: NodeJS.Timeout;
    const wait = (): void => {
      timer = setTimeout(() => void look(), PATIENCE).unref();
    };
    const look = async (): Promise<void> => {
      const alive = await probe();
      if (res.headersSent || res.writableEnded) return;
      if (alive) wait();
      else sendProblem(req, res, 'database-away', { detail: 'The database does not answer. What you sent may still be kept: send it again.' });
    };
    wait();
    res.on('close', () => clearTimeout(timer));
    next();
  };
}
