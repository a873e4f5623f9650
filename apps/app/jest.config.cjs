const { dirname } = require('node:path');
const expo = require('jest-expo/web/jest-preset');

const preset = { ...expo };
delete preset.watchPlugins;

/** npm nests this one below expo, where jest-expo's own set-up does not look. */
const modulesCore = dirname(
  require.resolve('expo-modules-core/package.json', {
    paths: [dirname(require.resolve('expo/package.json'))],
  }),
);

module.exports = {
  ...preset,
  displayName: 'app',
  testEnvironment: '<rootDir>/jest.environment.cjs',
  rootDir: __dirname,
  roots: ['<rootDir>/src'],
  setupFilesAfterEnv: [...(preset.setupFilesAfterEnv ?? []), '<rootDir>/jest.setup.cjs'],
  // The icons come as .mjs, which the preset leaves alone.
  transform: { ...preset.transform, '\\.mjs$': preset.transform['\\.[jt]sx?$'] },
  moduleNameMapper: {
    ...preset.moduleNameMapper,
    '^expo-modules-core$': modulesCore,
    '^expo-modules-core/(.*)$': `${modulesCore}/$1`,
  },
  transformIgnorePatterns: [
    'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|tamagui|@tamagui/.*|lucide-react-native|date-fns|uuid|delaunator|robust-predicates|d3-contour|d3-array|internmap|expo-modules-core|dejavu-fonts-ttf))',
  ],
};
