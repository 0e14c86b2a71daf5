const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// The interface library can show icons of fifteen sets and brings all of them, fonts included; one is in use.
const UNUSED =
  /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)\/(?!Feather)/;

config.resolver.resolveRequest = (context, name, platform) =>
  UNUSED.test(name) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

module.exports = config;
