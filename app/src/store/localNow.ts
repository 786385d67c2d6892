export interface Now {
  /** The household's local day, YYYY-MM-DD. */
  day: string;
  /** Minutes after its midnight. */
  minutes: number;
}

/** Made once a zone: making one takes longer than all that is done with it. */
const formats = new Map<string, Intl.DateTimeFormat>();
function formatOf(timeZone: string): Intl.DateTimeFormat {
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    formats.set(timeZone, format);
  }
  return format;
}

/** Local day and minute of an instant in a time zone. */
export function localNow(instant: Date, timeZone: string): Now {
  const parts = formatOf(timeZone).formatToParts(instant);
  const part = (type: string) => parts.find((one) => one.type === type)?.value ?? '';
  return {
    day: `${part('year')}-${part('month')}-${part('day')}`,
    minutes: Number(part('hour')) * 60 + Number(part('minute')),
  };
}
