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

/** While developing, the app asks its own address, and what is the server's is handed on to it. */
const api = process.env.NUCLEON_API;
if (api) {
  const { createProxyMiddleware } = require('http-proxy-middleware');
  const toServer = createProxyMiddleware({
    target: api,
    changeOrigin: true,
    pathFilter: '/api',
    // It lets in its own page alone.
    headers: { origin: api },
  });
  config.server.enhanceMiddleware = (metro) => (request, response, next) =>
    request.url.startsWith('/api/')
      ? toServer(request, response, next)
      : metro(request, response, next);
}

module.exports = config;
