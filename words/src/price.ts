/** An amount as it is written: 12900 in the smallest coin is '129.00'. */
export function priceText(coins: number): string {
  return (coins / 100).toFixed(2);
}
