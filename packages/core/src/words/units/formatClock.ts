/** A countdown as a clock shows it: `12 s`, `1:05`, `1:02:00`; whole seconds, rounded up. */
export function formatClock(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds - 1e-9));
  if (whole < 60) return `${whole} s`;
  const two = (value: number): string => String(value).padStart(2, '0');
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
