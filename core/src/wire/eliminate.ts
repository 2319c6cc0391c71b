import type { Network } from './alternating.js';

/** A complex number, as two. */
export interface Complex {
  readonly re: number;
  readonly im: number;
}

/** A network made ready to be eliminated at one frequency after another: conductances and capacitances as matrices, with room for the sums. */
export interface Ready {
  readonly network: Network;
  readonly conductance: Float64Array;
  readonly capacitance: Float64Array;
  /** Rows of complex numbers, what is driven in the last column. */
  readonly re: Float64Array;
  readonly im: Float64Array;
  /** Numerator re, im, denominator re, im of the last elimination. */
  readonly ratio: Float64Array;
}

/** Lays what does not change with frequency into matrices, S and F. */
export function readyFor(network: Network): Ready {
  const w = network.nodes + 1;
  const size = network.nodes * w;
  const conductance = new Float64Array(size);
  const capacitance = new Float64Array(size);
  const put = (m: Float64Array, i: number, j: number, x: number): void => {
    if (i >= 0 && j >= 0) m[i * w + j] = (m[i * w + j] ?? 0) + x;
  };
  const admit = (m: Float64Array, a: number, b: number, x: number): void => {
    put(m, a, a, x);
    put(m, b, b, x);
    put(m, a, b, -x);
    put(m, b, a, -x);
  };
  for (const p of network.passive) {
    if (p.kind === 'resistor') admit(conductance, p.a, p.b, 1 / p.value);
    else admit(capacitance, p.a, p.b, p.value);
  }
  for (const { a: input, b: output, ground, gain, inputOhms, sourceOhms } of network.buffers) {
    admit(conductance, input, ground, 1 / inputOhms);
    admit(conductance, output, ground, 1 / sourceOhms);
    // the output follows the input above the buffer's ground
    const g = gain / sourceOhms;
    put(conductance, output, input, -g);
    put(conductance, output, ground, g);
    put(conductance, ground, input, g);
    put(conductance, ground, ground, -g);
  }
  return { network, conductance, capacitance, re: new Float64Array(size), im: new Float64Array(size), ratio: new Float64Array(4) };
}

/**
 * Numerator and denominator of the voltage at the tip at a complex frequency s, by nodal analysis [law]: a coil is one admittance 1/(R + sL), multiplied out of both, so
 * that both are polynomials in s. `drives` weighs the sources; they are left in `ratio`.
 */
export function eliminateAt({ network, conductance, capacitance, re, im, ratio }: Ready, drives: readonly number[], sRe: number, sIm: number): void {
  const size = network.nodes;
  const w = size + 1;
  for (let k = 0; k < re.length; k++) {
    const c = capacitance[k] ?? 0;
    re[k] = (conductance[k] ?? 0) + sRe * c;
    im[k] = sIm * c;
  }
  // what is multiplied out of numerator and denominator alike
  let dRe = 1;
  let dIm = 0;
  for (let k = 0; k < network.sources.length; k++) {
    const s = network.sources[k];
    if (!s) continue;
    let yRe = sRe * s.farad;
    let yIm = sIm * s.farad;
    if (s.farad === 0) {
      // 1/(R + sL ∥ loss) = (1 + sL/loss) / (R + sL + R·sL/loss)
      const lRe = sRe * s.henry;
      const lIm = sIm * s.henry;
      const bRe = s.ohms + lRe + (s.ohms * lRe) / s.loss;
      const bIm = lIm + (s.ohms * lIm) / s.loss;
      const tRe = 1 + lRe / s.loss;
      const tIm = lIm / s.loss;
      const m = bRe * bRe + bIm * bIm;
      yRe = (tRe * bRe + tIm * bIm) / m;
      yIm = (tIm * bRe - tRe * bIm) / m;
      const kept = dRe;
      dRe = kept * bRe - dIm * bIm;
      dIm = kept * bIm + dIm * bRe;
    }
    const e = drives[k] ?? 0;
    admitSource(re, im, w, s.a, s.b, yRe, yIm, e);
    admitSource(re, im, w, s.b, s.a, yRe, yIm, -e);
  }
  // all columns but the tip's, with the largest pivot of each; what is left of the last row is the ratio, and the pivots go into both
  for (let k = 0; k < size - 1; k++) {
    let best = k;
    let most = -1;
    for (let i = k; i < size; i++) {
      const x = re[i * w + k] ?? 0;
      const y = im[i * w + k] ?? 0;
      const m = x * x + y * y;
      if (m > most) {
        best = i;
        most = m;
      }
    }
    if (best !== k) {
      swapRows(re, im, k * w, best * w, k, w);
      dRe = -dRe;
      dIm = -dIm;
    }
    const pRe = re[k * w + k] ?? 0;
    const pIm = im[k * w + k] ?? 0;
    const kept = dRe;
    dRe = kept * pRe - dIm * pIm;
    dIm = kept * pIm + dIm * pRe;
    if (most === 0) continue;
    for (let i = k + 1; i < size; i++) {
      const xRe = re[i * w + k] ?? 0;
      const xIm = im[i * w + k] ?? 0;
      if (xRe === 0 && xIm === 0) continue;
      const fRe = (xRe * pRe + xIm * pIm) / most;
      const fIm = (xIm * pRe - xRe * pIm) / most;
      for (let j = k + 1; j < w; j++) {
        const uRe = re[k * w + j] ?? 0;
        const uIm = im[k * w + j] ?? 0;
        re[i * w + j] = (re[i * w + j] ?? 0) - (fRe * uRe - fIm * uIm);
        im[i * w + j] = (im[i * w + j] ?? 0) - (fRe * uIm + fIm * uRe);
      }
    }
  }
  const last = (size - 1) * w + size - 1;
  const bRe = re[last] ?? 0;
  const bIm = im[last] ?? 0;
  const aRe = re[last + 1] ?? 0;
  const aIm = im[last + 1] ?? 0;
  ratio[0] = aRe * dRe - aIm * dIm;
  ratio[1] = aRe * dIm + aIm * dRe;
  ratio[2] = bRe * dRe - bIm * dIm;
  ratio[3] = bRe * dIm + bIm * dRe;
}

/** One end of a source: its admittance, and what it drives into this node. */
function admitSource(re: Float64Array, im: Float64Array, w: number, at: number, other: number, yRe: number, yIm: number, e: number): void {
  if (at < 0) return;
  const row = at * w;
  re[row + at] = (re[row + at] ?? 0) + yRe;
  im[row + at] = (im[row + at] ?? 0) + yIm;
  if (other >= 0) {
    re[row + other] = (re[row + other] ?? 0) - yRe;
    im[row + other] = (im[row + other] ?? 0) - yIm;
  }
  re[row + w - 1] = (re[row + w - 1] ?? 0) + e * yRe;
  im[row + w - 1] = (im[row + w - 1] ?? 0) + e * yIm;
}

function swapRows(re: Float64Array, im: Float64Array, a: number, b: number, from: number, w: number): void {
  for (let j = from; j < w; j++) {
    const x = re[a + j] ?? 0;
    re[a + j] = re[b + j] ?? 0;
    re[b + j] = x;
    const y = im[a + j] ?? 0;
    im[a + j] = im[b + j] ?? 0;
    im[b + j] = y;
  }
}
