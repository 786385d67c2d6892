import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { App } from 'expo-router/build/qualified-entry';
import { openStore } from './src/store/openStore';

// First of all: the answers come while the first screen is drawn.
openStore();
// The router's own entry draws the first screen as a transition, in slices: what is answered meanwhile
// lets React throw them away and draw it all again. Here it is drawn in one go.
registerRootComponent(App);
