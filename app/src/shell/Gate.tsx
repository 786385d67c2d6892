import { usePathname } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { fromHouse } from '../bundles/fromHouse';
import { api } from '../store';

const BeginScreen = fromHouse((house) => house.BeginScreen);
const SignInScreen = fromHouse((house) => house.SignInScreen);
const NoHouseholdScreen = fromHouse((house) => house.NoHouseholdScreen);

/** Pages that a link opens for people who are not signed in yet. */
const FOR_ANYONE = new Set(['/join', '/pair']);

/**
 * The house for who is signed in; the way in for everyone else. Where a session ends while the house is
 * open, the way in covers it: a form that is half filled in stays as it is.
 */
export function Gate({ children, entrance }: { children: ReactNode; entrance: ReactNode }) {
  const path = usePathname();
  const { data: me } = api.useMeQuery();
  const [entered, setEntered] = useState(false);
  const inside = me !== undefined && me.signedIn !== 'no' && me.household !== null;
  // Noted while it is drawn: what follows is drawn by it at once.
  if (inside && !entered) setEntered(true);
  if (FOR_ANYONE.has(path)) return entrance;
  if (me?.signedIn === 'yes' && me.household === null) return <NoHouseholdScreen me={me} />;
  const outside = me?.signedIn === 'no';
  if (outside && me.firstVisit) return <BeginScreen />;
  if (outside && !entered) return <SignInScreen />;
  return (
    <>
      <View style={{ flex: 1, minHeight: 0, display: outside ? 'none' : 'flex' }}>{children}</View>
      {outside ? <SignInScreen again /> : null}
    </>
  );
}
