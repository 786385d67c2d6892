module.exports = (api) => {
  const testing = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    // Jest runs CommonJS: what loads later in a browser is required there.
    plugins: testing ? ['dynamic-import-node'] : [],
  };
};
