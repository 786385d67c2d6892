import { WEEK, type Cycle } from '@open-larder/core/round';
import { scaleOf, type Measure, type UnitChoice } from '@open-larder/core/units';
import { formatQuantity } from '@open-larder/say';
import type { HouseholdSettings } from '@open-larder/contract';
import { formatTime } from './time';
import { useHousehold } from './useHousehold';

export interface DayName {
  value: number;
  label: string;
  spoken: string;
}

export interface Format {
  /** The keeper's units. */
  units: UnitChoice;
  /** A base value in the keeper's units: «10.5 cm». */
  quantity: (measure: Measure, base: number) => string;
  scale: (measure: Measure) => ReturnType<typeof scaleOf>;
  time: (minutes: number) => string;
  money: (minor: number) => string;
  /** «Tue 24 Nov» */
  day: (day: string) => string;
  /** ISO weekdays in the keeper's order, with short and long names. */
  weekdays: DayName[];
}

/** Days of a tank's cycle: the weekdays of a week, and numbers of any other. */
export function cycleDays(format: Format, cycle: Cycle | undefined): DayName[] {
  const { days, from } = cycle ?? WEEK;
  if (days === WEEK.days && from === WEEK.from) return format.weekdays;
  return Array.from({ length: days }, (_, at) => ({
    value: at + 1,
    label: String(at + 1),
    spoken: `day ${at + 1} of ${days}`,
  }));
}

const NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** What a household that is not read yet is taken for. */
const UNREAD = {};
/** Made once a household: the formats in it take longer to make than to use. */
const made = new WeakMap<object, Format>();

/** How numbers, times and days read for this household. */
export function useFormat(): Format {
  const household = useHousehold();
  const key = household ?? UNREAD;
  let format = made.get(key);
  if (!format) {
    format = formatOf(household);
    made.set(key, format);
  }
  return format;
}

function formatOf(household: HouseholdSettings | undefined): Format {
  const units: UnitChoice = {
    units: household?.units ?? 'metric',
    temperature: household?.temperature ?? 'C',
    hardness: household?.hardness ?? 'dGH',
  };
  // Made when money is first shown: making one takes longer than all that is done with it.
  let money: Intl.NumberFormat | undefined;
  const currency = household?.currency ?? 'EUR';
  const day = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  const first = household?.weekStart ?? 1;
  return {
    units,
    quantity: (measure, base) => formatQuantity(units, measure, base),
    scale: (measure) => scaleOf(units, measure),
    time: (minutes) => formatTime(minutes, household?.clock ?? '24'),
    money: (minor) => {
      money ??= new Intl.NumberFormat(undefined, { style: 'currency', currency });
      return money.format(minor / 100);
    },
    day: (iso) => day.format(new Date(`${iso}T12:00:00Z`)),
    weekdays: NAMES.map((_, index) => {
      const value = ((first - 1 + index) % 7) + 1;
      const name = NAMES[value - 1] as string;
      return { value, label: name.slice(0, 2), spoken: name };
    }),
  };
}
