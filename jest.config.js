/** Core, catalogue, say, contract and server run in Node; the app runs under jest-expo (app/jest.config.js). */
const node = (name) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  setupFilesAfterEnv: [`${__dirname}/jest.patience.js`],
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: {
    '^.+\\.m?[jt]sx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(@open-larder|@date-fns|date-fns|d3-array|internmap)/)',
  ],
});

module.exports = {
  projects: [
    ...['catalogue', 'core', 'say', 'contract', 'server'].map(node),
    '<rootDir>/app/jest.config.js',
  ],
};
