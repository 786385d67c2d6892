const { request } = require('node:http');
const { dirname, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

config.resolver.assetExts.push('woff2');

/** A file of a package that does not name it among its doors. */
const fileOf = (name, ...path) => join(dirname(require.resolve(`${name}/package.json`)), ...path);
const toolkit = (...path) => fileOf('@reduxjs/toolkit', 'dist', ...path);

/**
 * Packages that are one file of all they can, where the app needs a part; and those that would come
 * twice, once for those that import and once for those that require.
 */
const parts = {
  '@reduxjs/toolkit': toolkit('redux-toolkit.modern.mjs'),
  '@reduxjs/toolkit/query': toolkit('query', 'rtk-query.modern.mjs'),
  '@reduxjs/toolkit/query/react': toolkit('query', 'react', 'rtk-query-react.modern.mjs'),
  immer: fileOf('immer', 'dist', 'immer.mjs'),
  redux: fileOf('redux', 'dist', 'redux.mjs'),
  reselect: fileOf('reselect', 'dist', 'reselect.mjs'),
  uuid: join(__dirname, 'shims', 'uuid.js'),
  'uuid-v7-alone': fileOf('uuid', 'dist', 'esm-browser', 'v7.js'),
};

/** Parts of the router and of drawings that this app never shows, by what they ask for. */
const unseen = [
  [/views\/Sitemap$/, join(__dirname, 'shims', 'noSitemap.js')],
  [/\/bottom-tabs$|layouts\/Tabs$/, join(__dirname, 'shims', 'noTabs.js')],
  [
    /\/createNativeStackNavigator$|layouts\/(Stack|experimental-stack)$|\/NativeTabTrigger$|\/stack-utils$|\/screensFeatureFlags$/,
    join(__dirname, 'shims', 'noStack.js'),
  ],
  [/\/HeaderSearchBar$/, join(__dirname, 'shims', 'noSearchBar.js')],
];
const unseenOfDrawings = {
  './xml': join(__dirname, 'shims', 'noXml.js'),
  './transform': join(__dirname, 'shims', 'noTransformParser.js'),
  './transformToRn': join(__dirname, 'shims', 'noTransformParser.js'),
};
const unseenPart = ({ originModulePath }, moduleName) => {
  if (/[\\/]react-native-svg[\\/]/.test(originModulePath)) return unseenOfDrawings[moduleName];
  return /[\\/]expo-router[\\/]/.test(originModulePath)
    ? unseen.find(([asked]) => asked.test(moduleName))?.[1]
    : undefined;
};

// Zod carries its messages in fifty languages, a third of the script a phone would load first.
// Our sentences are our own, so the list of languages shrinks to the one that Zod falls back to.
const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) => {
  const filePath = parts[moduleName] ?? unseenPart(context, moduleName);
  if (filePath) return { type: 'sourceFile', filePath };
  const fromZod = /[\\/]zod[\\/]v4[\\/]/.test(context.originModulePath);
  const name =
    fromZod && /locales\/index\.c?js$/.test(moduleName)
      ? moduleName.replace(/index(\.c?js)$/, 'en$1')
      : moduleName;
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

// A module is run when something of it is first used: a phone runs what it shows, not all it was sent.
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: false, inlineRequires: true },
});

/** While it is worked on, the app is served here and its server elsewhere: what it asks is passed on. */
const api = process.env.OPEN_LARDER_API;
if (api) {
  config.server.enhanceMiddleware = (metro) => (asked, answer, next) => {
    if (!asked.url.startsWith('/api/')) return metro(asked, answer, next);
    const onward = request(
      new URL(asked.url, api),
      // With the host as it was asked for: the server refuses what another site’s page sends.
      { method: asked.method, headers: asked.headers },
      (given) => {
        answer.writeHead(given.statusCode, given.headers);
        given.pipe(answer);
      },
    );
    onward.on('error', () => answer.writeHead(502).end());
    return asked.pipe(onward);
  };
}

module.exports = config;
