import { Link, usePathname } from 'expo-router';
import Moon from 'lucide-react-native/icons/moon';
import Settings from 'lucide-react-native/icons/settings';
import Sun from 'lucide-react-native/icons/sun';
import type { Me } from '@open-larder/contract';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { fromHouseLater } from '../bundles/fromHouse';
import { api, themeChosen, useAppDispatch } from '../store';
import { reading } from '../store/reading';
import { SIZES, themed, useColours, useThemeName, useWide } from '../theme';
import { MayDo, Text, Toast } from '../ui';
import { Gate } from './Gate';
import { PLACES, type Place } from './places';
import { SkipLink } from './SkipLink';
import { useLampByLights } from './useLampByLights';
import { Notices } from './Notices';

const Following = fromHouseLater((house) => house.Following);
const Company = fromHouseLater((house) => house.Company);
const NewBuild = fromHouseLater((house) => house.NewBuild);
const OutboxMark = fromHouseLater((house) => house.OutboxMark);
const OutboxStrip = fromHouseLater((house) => house.OutboxStrip);

/** The five places around whatever is open: a bar under the thumb, a rail when wide. */
export function Shell({ children }: { children: ReactNode }) {
  const styles = useStyles();
  const wide = useWide();
  useLampByLights();
  // Kept read for all that show a time or a number, which ask for it without a query of their own.
  api.useHouseholdQuery();
  const { data: me } = api.useMeQuery(undefined, reading<Me>());
  const open = (
    <View style={styles.open}>
      <Notices />
      {children}
      <Company />
      <NewBuild />
      <Toast />
    </View>
  );
  return (
    <MayDo role={me?.household?.role ?? 'owner'}>
      <View style={styles.shell}>
        <Gate entrance={open}>
          <View style={[styles.shell, wide && styles.shellWide]}>
            <SkipLink />
            <Following />
            {wide ? <Places wide /> : null}
            {open}
            {wide ? null : <OutboxStrip />}
            {wide ? null : <Places wide={false} />}
          </View>
        </Gate>
      </View>
    </MayDo>
  );
}

function Places({ wide }: { wide: boolean }) {
  const styles = useStyles();
  const path = usePathname();
  const here = path === '/' ? '/round' : path.startsWith('/groups') ? '/tanks' : path;
  return (
    <View role="navigation" aria-label="Places" style={wide ? styles.rail : styles.bar}>
      {PLACES.map((place) => (
        <PlaceLink key={place.href} place={place} here={here.startsWith(place.href)} wide={wide} />
      ))}
      {wide ? (
        <View style={styles.railEnd}>
          <OutboxMark />
          <LampSwitch />
          <SettingsLink />
        </View>
      ) : null}
    </View>
  );
}

function PlaceLink({ place, here, wide }: { place: Place; here: boolean; wide: boolean }) {
  const styles = useStyles();
  const colours = useColours();
  return (
    <Link href={place.href} asChild>
      <Pressable
        role="link"
        aria-current={here ? 'page' : undefined}
        style={{
          ...styles.place,
          ...(wide ? styles.placeWide : null),
          ...(here ? (wide ? styles.hereWide : styles.here) : null),
        }}
      >
        <place.Icon
          size={24}
          color={here ? colours.ink : colours.ink2}
          strokeWidth={here ? 2.25 : 1.75}
        />
        <Text variant="small" tone={here ? 'ink' : 'quiet'}>
          {place.name}
        </Text>
      </Pressable>
    </Link>
  );
}

/** On a phone, where there is no rail: whether all is sent, the lamp and the settings, at the end of a title. */
export function ScreenTools() {
  return (
    <>
      <OutboxMark />
      <LampSwitch />
      <SettingsLink />
    </>
  );
}

/** Lamp on or off: the dim amber theme for feeding after dark. */
function LampSwitch() {
  const styles = useStyles();
  const colours = useColours();
  const theme = useThemeName();
  const dispatch = useAppDispatch();
  const Icon = theme === 'lit' ? Moon : Sun;
  return (
    <Pressable
      role="switch"
      aria-checked={theme === 'lamp'}
      aria-label="Lamp-off theme"
      onPress={() => dispatch(themeChosen(theme === 'lit' ? 'lamp' : 'lit'))}
      style={styles.small}
    >
      <Icon size={22} color={colours.ink2} />
    </Pressable>
  );
}

function SettingsLink() {
  const styles = useStyles();
  const colours = useColours();
  return (
    <Link href="/settings" asChild>
      <Pressable role="link" aria-label="Settings" style={styles.small}>
        <Settings size={22} color={colours.ink2} />
      </Pressable>
    </Link>
  );
}

const useStyles = themed((c) => ({
  shell: { flex: 1, backgroundColor: c.ground },
  shellWide: { flexDirection: 'row' },
  open: { flex: 1, minWidth: 0, minHeight: 0 },
  bar: {
    flexDirection: 'row',
    backgroundColor: c.paper,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  rail: {
    width: 88,
    paddingTop: 20,
    gap: 8,
    backgroundColor: c.paper,
    borderRightWidth: 1,
    borderColor: c.rule,
  },
  railEnd: { marginTop: 'auto', alignItems: 'center', paddingBottom: 12, gap: 4 },
  place: {
    flex: 1,
    minHeight: 62,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    borderTopWidth: 3,
    borderColor: 'transparent',
    textDecorationLine: 'none',
  },
  placeWide: { flex: 0, minHeight: 66, borderTopWidth: 0, borderLeftWidth: 4 },
  here: { borderColor: c.roe },
  hereWide: { borderColor: c.roe },
  small: {
    width: SIZES.touch,
    height: SIZES.touch,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: SIZES.radius,
  },
}));
