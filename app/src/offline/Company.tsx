import type { Me, Present, RoundView } from '@open-larder/contract';
import { usePathname } from 'expo-router';
import Users from 'lucide-react-native/icons/users';
import { useEffect } from 'react';
import { View } from 'react-native';
import { api, useAppSelector, useHand } from '../store';
import { sendQuietly } from '../store/call';
import { PAGE } from '../store/page';
import { useToday } from '../store/useNow';
import { SIZES, themed, useColours } from '../theme';
import { Text, useMay } from '../ui';

/** A page says that it is still there so often; the server forgets it after less than three times that. */
const STILL_HERE_MS = 20_000;
const PATIENCE_MS = 5000;
const IN_ROUND = new Set(['/', '/round']);

/** Says to the others that the Round is open here, and at which tank; and who else has it open. */
export function Company() {
  const inRound = IN_ROUND.has(usePathname());
  const { data: me } = api.useMeQuery();
  const may = useMay('feeder');
  return inRound && may && me?.household ? <InRound me={me} /> : null;
}

function InRound({ me }: { me: Me }) {
  const styles = useStyles();
  const colours = useColours();
  const others = useAppSelector((state) => state.present);
  const { data: tanks = [] } = api.useTanksQuery();
  useSayingWhere();
  if (others.length === 0) return null;
  const says = sayWhere(others, me, (id) => tanks.find((tank) => tank.id === id)?.name);
  return (
    <View style={styles.strip} role="status">
      <Users size={18} color={colours.ink2} />
      <View style={styles.words}>
        <Text variant="small">{says}</Text>
      </View>
    </View>
  );
}

/** «Finch is in the Round too, at Weir. 2 other devices are in the Round too.» */
export function sayWhere(
  others: readonly Present[],
  me: Me,
  tankName: (id: string) => string | undefined,
): string {
  const pages = new Map<string, number>();
  for (const { name, tankId } of others) {
    const who = name === null || name === me.person?.name ? '' : name;
    const tank = tankId === null ? undefined : tankName(tankId);
    const key = JSON.stringify([who, tank ? `, at ${tank}` : '']);
    pages.set(key, (pages.get(key) ?? 0) + 1);
  }
  return [...pages]
    .map(([key, count]) => {
      const [who, where] = JSON.parse(key) as [string, string];
      // A person with two pages open is there once; devices without a name are counted.
      if (!who && count > 1) return `${count} other devices are in the Round too${where}.`;
      return `${who || 'Another device'} is in the Round too${where}.`;
    })
    .join(' ');
}

function useSayingWhere(): void {
  const day = useToday();
  const hand = useHand();
  const { tankId } = api.useRoundQuery(
    { day, hand },
    { selectFromResult: ({ data }) => ({ tankId: nextTank(data) }) },
  );
  useEffect(() => {
    const say = (inRound: boolean) =>
      void sendQuietly('setPresence', { body: { page: PAGE, tankId, inRound } }, PATIENCE_MS);
    const here = () => {
      if (document.visibilityState === 'visible') say(true);
    };
    here();
    const timer = setInterval(here, STILL_HERE_MS);
    const left = () => say(false);
    window.addEventListener('pagehide', left);
    return () => {
      clearInterval(timer);
      window.removeEventListener('pagehide', left);
    };
  }, [tankId]);
  useEffect(
    () => () =>
      void sendQuietly(
        'setPresence',
        { body: { page: PAGE, tankId: null, inRound: false } },
        PATIENCE_MS,
      ),
    [],
  );
}

/** Where the walk is: the first tank at which something is still to be served. */
const nextTank = (round: RoundView | undefined): string | null =>
  round?.moments
    .flatMap(({ stops }) => stops)
    .find(({ servings }) => servings.some(({ fed }) => fed === null))?.tankId ?? null;

const useStyles = themed((c) => ({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: SIZES.gutter,
    paddingVertical: 10,
    backgroundColor: c.paper,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  words: { flex: 1, minWidth: 0 },
}));
