import type { Unreadable } from '@open-larder/contract';
import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { api, useAppSelector } from '../store';
import { clockOffMs, nowMs, onClockChange } from '../store/clock';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

/** How often the server is asked whether it has room. */
const ASK_MS = 300_000;
const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** What is the matter with the device, the server or the records, as long as it is. */
export function Notices() {
  const styles = useStyles();
  const off = useSyncExternalStore(onClockChange, clockOffMs, clockOffMs);
  const { data: health } = api.useHealthQuery(undefined, { pollingInterval: ASK_MS });
  const unreadable = useAppSelector((state) => state.unreadable);
  const notices = [
    off === 0 ? null : formatOff(off),
    health?.diskLow
      ? `The server’s disk is nearly full: ${health.diskFreeMb} MB are left. Free some room, or nothing more can be saved.`
      : null,
    health?.certificateEnds ? formatCertificate(health.certificateEnds, nowMs()) : null,
    formatUnreadable(Object.values(unreadable).flat()),
  ].filter((notice) => notice !== null);
  if (notices.length === 0) return null;
  return (
    <View style={styles.bar} role="status">
      {notices.map((notice) => (
        <Text key={notice} variant="small">
          {notice}
        </Text>
      ))}
    </View>
  );
}

/** «The clock of this device is 12 minutes slow. Until you set it, the server’s time is used.» */
export function formatOff(offMs: number): string {
  const minutes = Math.round(Math.abs(offMs) / MINUTE_MS);
  const [amount, unit] =
    minutes < 120
      ? [minutes, 'minutes']
      : minutes < 2880
        ? [Math.round(minutes / 60), 'hours']
        : [Math.round(minutes / 1440), 'days'];
  return `The clock of this device is ${amount} ${unit} ${offMs > 0 ? 'slow' : 'fast'}. Until you set it, the server’s time is used.`;
}

/** «The certificate of this address ends in 3 days. Whoever runs the server renews it; …» */
export function formatCertificate(ends: string, now: number): string {
  const days = Math.floor((Date.parse(ends) - now) / DAY_MS);
  const when =
    days < 0
      ? 'has ended, and browsers refuse it'
      : `ends ${days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`}`;
  return `The certificate of this address ${when}. At home, start the server again and it renews itself; elsewhere, renew its files.`;
}

function formatUnreadable(rows: readonly Unreadable[]): string | null {
  if (rows.length === 0) return null;
  return rows.length === 1
    ? 'One entry cannot be shown: it was stored in a form that cannot be read. It is kept, and the rest is here.'
    : `${rows.length} entries cannot be shown: they were stored in a form that cannot be read. They are kept, and the rest is here.`;
}

const useStyles = themed((c) => ({
  bar: {
    paddingHorizontal: SIZES.gutter,
    paddingVertical: 8,
    gap: 4,
    backgroundColor: c.paper,
    borderBottomWidth: 2,
    borderColor: c.roe,
  },
}));
