import type { LucideIcon } from 'lucide-react-native';
import CalendarDays from 'lucide-react-native/icons/calendar-days';
import ChartLine from 'lucide-react-native/icons/chart-line';
import ListChecks from 'lucide-react-native/icons/list-checks';
import Milk from 'lucide-react-native/icons/milk';
import FishSymbol from 'lucide-react-native/icons/fish-symbol';

export interface Place {
  href: '/round' | '/tanks' | '/week' | '/larder' | '/records';
  name: string;
  Icon: LucideIcon;
}

/** The five places, each with its own address. */
export const PLACES: readonly Place[] = [
  { href: '/round', name: 'Round', Icon: ListChecks },
  { href: '/tanks', name: 'Tanks', Icon: FishSymbol },
  { href: '/week', name: 'Week', Icon: CalendarDays },
  { href: '/larder', name: 'Larder', Icon: Milk },
  { href: '/records', name: 'Records', Icon: ChartLine },
];
