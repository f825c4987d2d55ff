/** An amount with the workshop's sign of currency. */
export function money(amount: number, currency: string): string {
  const figure = amount.toFixed(2);
  return currency ? `${currency} ${figure}` : figure;
}
