/** Unit and server tests; the browser's are in e2e. */
const passThrough =
  'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|lucide-react-native|d3-[a-z]+|internmap|idb|fake-indexeddb)/)';
const node = (name) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  preset: 'jest-expo/node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.[mc]?[jt]sx?$': ['babel-jest', { configFile: `${__dirname}/app/babel.config.js` }] },
  transformIgnorePatterns: [passThrough],
});

const builtThreads = { moduleNameMapper: { '/startThread$': `${__dirname}/server/src/tests/builtThread.ts` } };

module.exports = {
  // Every processor: the longest suites wait for child processes that are killed.
  maxWorkers: '100%',
  // Opening a fresh database takes seconds.
  testTimeout: 120_000,
  projects: [
    node('core'),
    node('contract'),
    node('words'),
    { ...node('server'), ...builtThreads, globalSetup: `${__dirname}/server/src/tests/blankDatabase.cjs` },
    { ...node('demo'), ...builtThreads, globalSetup: `${__dirname}/demo/src/tests/filledDemo.cjs` },
    {
      displayName: 'app',
      rootDir: `${__dirname}/app`,
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
      transform: { '\\.mjs$': ['babel-jest', { configFile: `${__dirname}/app/babel.config.js` }] },
      transformIgnorePatterns: [passThrough],
    },
  ],
};
