// The server as a child process: started, waited for, ended.
import { fork } from 'node:child_process';
import { keep } from './run.mjs';
import { Plain } from './say.mjs';

/** Starts the built server (or another entry) and resolves once it listens. Rejects with the sentence it gives up with. */
export function startServer(main, env, { execArgv = [], logTo = 'inherit' } = {}) {
  return new Promise((resolve, reject) => {
    const child = keep(fork(main, [], { env: { ...process.env, ...env }, execArgv, stdio: ['ignore', logTo, 'pipe', 'ipc'] }));
    let sentence = 'The server ended before it was ready.';
    child.stderr.on('data', (chunk) => process.stderr.write(String(chunk).includes(sentence) ? '' : chunk));
    child.on('message', (m) => {
      if (m.kind === 'listening') resolve({ child, port: m.port });
      if (m.kind === 'failed') sentence = m.sentence;
    });
    child.on('exit', () => reject(new Plain(sentence)));
  });
}

export function ended(child) {
  return new Promise((resolve) => (child.exitCode !== null || child.signalCode !== null ? resolve() : child.on('exit', () => resolve())));
}
