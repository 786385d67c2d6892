import { useFonts } from 'expo-font';
import { Navigator, Slot, usePathname } from 'expo-router';
import { Provider } from 'react-redux';
import { MayOpen, Shell } from '../shell';
import { openStore } from '../store';
import { FONT_FILES, ThemeProvider } from '../theme';
import { Boundary } from '../ui';

/** What is open. Where it fails, the navigator around it keeps its place, and the rest goes on. */
function Place() {
  const path = usePathname();
  return (
    <Boundary about={path}>
      <MayOpen path={path}>
        <Slot />
      </MayOpen>
    </Boundary>
  );
}

export default function Layout() {
  // Words are shown at once in the system's font; the bundled families follow when they are there.
  useFonts(FONT_FILES);
  return (
    <Provider store={openStore()}>
      <ThemeProvider>
        <Shell>
          <Navigator>
            <Place />
          </Navigator>
        </Shell>
      </ThemeProvider>
    </Provider>
  );
}
