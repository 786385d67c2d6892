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
  const says = others.map((one) => sayWhere(one, me, (id) => tanks.find((t) => t.id === id)?.name));
  return (
    <View style={styles.strip} role="status">
      <Users size={18} color={colours.ink2} />
      <View style={styles.words}>
        <Text variant="small">{says.join(' ')}</Text>
      </View>
    </View>
  );
}

/** «Finch is in the Round too, at Weir.» */
export function sayWhere(
  { name, tankId }: Present,
  me: Me,
  tankName: (id: string) => string | undefined,
): string {
  const who = name === null || name === me.person?.name ? 'Another device' : name;
  const tank = tankId === null ? undefined : tankName(tankId);
  return `${who} is in the Round too${tank ? `, at ${tank}` : ''}.`;
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
    return () => clearInterval(timer);
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
