/** An angle as it was typed, degrees; or why it is none. Nothing typed is no angle and no problem: null, null. `steepest`: no further either way. */
export function typedAngle(text: string, steepest: number): { readonly value: number | null; readonly problem: string | null } {
  const plain = text.trim().replace('−', '-').replace(',', '.').replace(/°$/, '');
  if (plain === '') return { value: null, problem: null };
  const value = Number(plain);
  return Math.abs(value) <= steepest ? { value, problem: null } : { value: null, problem: `Type an angle in degrees, −${steepest} to ${steepest}` };
}
