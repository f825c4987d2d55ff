/** Minutes as they are read aloud: 40 s, 20 min, 1 h 30. */
export function minutesSaid(minutes: number): string {
  const whole = Math.round(minutes);
  if (minutes > 0 && minutes < 1) return `${Math.round(60 * minutes)} s`;
  if (whole < 60) return `${whole} min`;
  return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
}
