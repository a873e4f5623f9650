const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/**
 * Packages that Metro must take whole as CommonJS. The gesture library keeps a registry in a module
 * that its parts share: taken half as ES modules, each half has its own and no gesture arrives.
 * tslib's ES wrapper asks for a default export that its CommonJS half does not have.
 */
const AS_COMMONJS = /^(@use-gesture\/|tslib$)/;

config.resolver.resolveRequest = (context, name, platform) =>
  AS_COMMONJS.test(name)
    ? {
        type: 'sourceFile',
        filePath: require.resolve(name, { paths: [context.originModulePath, __dirname] }),
      }
    : context.resolveRequest(context, name, platform);

module.exports = config;
