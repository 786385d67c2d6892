module.exports = { displayName: 'app', preset: 'jest-expo/web', rootDir: __dirname };
