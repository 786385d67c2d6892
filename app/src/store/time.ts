/** Minutes after midnight as a clock reads: «07:30», «7:30 am». */
export function formatTime(minutes: number, clock: '24' | '12' = '24'): string {
  const within = ((minutes % 1440) + 1440) % 1440;
  const hour = Math.floor(within / 60);
  const minute = String(within % 60).padStart(2, '0');
  if (clock === '24') return `${String(hour).padStart(2, '0')}:${minute}`;
  return `${hour % 12 || 12}:${minute} ${hour < 12 ? 'am' : 'pm'}`;
}

/** «7:30», «19.30», «0730», «7:30 pm» as minutes after midnight; NaN where it is no time. */
export function readTime(text: string): number {
  const match = /^\s*(\d{1,2})(?:[:.]?(\d{2}))?\s*(am|pm)?\s*$/i.exec(text);
  if (!match) return Number.NaN;
  let hour = Number(match[1]);
  const minute = Number(match[2] ?? 0);
  const half = match[3]?.toLowerCase();
  if (half) {
    if (hour < 1 || hour > 12) return Number.NaN;
    hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  }
  return hour < 24 && minute < 60 ? hour * 60 + minute : Number.NaN;
}
