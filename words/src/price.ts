/** An amount as it is typed: 12900 in the smallest coin is '129.00', in every locale. */
export function amountText(coins: number): string {
  return (coins / 100).toFixed(2);
}
