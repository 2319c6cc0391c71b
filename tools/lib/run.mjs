// Child processes: one that is waited for, with its output shown, kept, or both.
import { spawn } from 'node:child_process';
import { Plain } from './say.mjs';

const children = new Set();
let interrupted = false;

process.on('SIGINT', () => interrupt('SIGINT'));
process.on('SIGTERM', () => interrupt('SIGTERM'));

function interrupt(signal) {
  interrupted = true;
  for (const child of children) child.kill(signal);
}

export function wasInterrupted() {
  return interrupted;
}

/** Runs a program to its end. `quiet` keeps the output and shows it only on failure when `must`. */
export function run(program, args, { cwd, env, quiet = false, must = null } = {}) {
  return new Promise((resolve, reject) => {
    const clean = { ...process.env, ...env };
    delete clean.npm_config_nodedir;
    const child = spawn(program, args, { cwd, env: clean, stdio: ['ignore', 'pipe', 'pipe'] });
    children.add(child);
    let output = '';
    for (const [stream, target] of [
      [child.stdout, process.stdout],
      [child.stderr, process.stderr],
    ]) {
      stream.on('data', (chunk) => {
        output += chunk;
        if (!quiet) target.write(chunk);
      });
    }
    child.on('error', (error) => {
      children.delete(child);
      reject(error.code === 'ENOENT' ? new Plain(`The program ${program} is not on this machine.`) : error);
    });
    child.on('close', (code, signal) => {
      children.delete(child);
      if (interrupted) return reject(new Plain('Stopped; start again to go on where it was.'));
      if (must && code !== 0) {
        if (quiet) process.stderr.write(output);
        return reject(new Plain(/ENOSPC|No space left/.test(output) ? 'The disk is full: make room and start again; nothing was lost.' : must));
      }
      resolve({ code: code ?? 1, signal, output });
    });
  });
}

/** A child that stays; it is ended with this process. */
export function keep(child) {
  children.add(child);
  child.on('exit', () => children.delete(child));
  return child;
}
