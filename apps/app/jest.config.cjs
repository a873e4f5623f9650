const expo = require('jest-expo/ios/jest-preset');

const preset = { ...expo };
delete preset.watchPlugins;

module.exports = {
  ...preset,
  displayName: 'app',
  rootDir: __dirname,
  roots: ['<rootDir>/src'],
  transformIgnorePatterns: [
    'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|tamagui|@tamagui/.*|lucide-react-native|date-fns|uuid))',
  ],
};
