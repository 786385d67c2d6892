const preset = require('jest-expo/ios/jest-preset');

const JS = '\\.[jt]sx?$';
const [transformer, options] = preset.transform[JS];
// Files that are not code are known by their names; fonts come as one kind more.
const [, asset] = Object.entries(preset.transform).find(([files]) => /ttf/.test(files));
// Jest starts at the root of the checkout, where there is no Babel configuration.
const babel = [transformer, { ...options, configFile: `${__dirname}/babel.config.js` }];
const { watchPlugins: _, ...rest } = preset;

/** Components under jest-expo with its own host components; the web target is driven by the journeys. */
module.exports = {
  ...rest,
  displayName: 'app',
  rootDir: __dirname,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  setupFilesAfterEnv: [
    ...(preset.setupFilesAfterEnv ?? []),
    '<rootDir>/src/testing/patience.ts',
    '<rootDir>/src/testing/clock.ts',
    '<rootDir>/src/testing/frames.ts',
  ],
  transform: { ...preset.transform, '\\.woff2$': asset, [JS]: babel, '\\.mjs$': babel },
  transformIgnorePatterns: [
    '/node_modules/(?!((jest-)?react-native|d3-.*|internmap|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@fontsource/.*|react-native-svg|lucide-react-native|@open-larder|@date-fns|uuid|@reduxjs|immer|react-redux|standard-navigation))',
  ],
};
