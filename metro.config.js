const http = require('node:http');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// The interface library can show icons of fifteen sets and brings all of them, fonts included; one is in use.
const UNUSED =
  /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)\/(?!Feather)/;

config.resolver.resolveRequest = (context, name, platform) =>
  UNUSED.test(name) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

// While developing, what is asked of /api is passed on to the server.
const api = process.env.STONEHOP_API;
if (api) {
  config.server.enhanceMiddleware = (metro) => (req, res, next) => {
    if (!req.url.startsWith('/api')) return metro(req, res, next);
    const { method, headers, url } = req;
    const passed = http.request(api + url, { method, headers }, (answer) => {
      res.writeHead(answer.statusCode, answer.headers);
      answer.pipe(res);
    });
    passed.on('error', () => res.writeHead(503).end());
    req.pipe(passed);
  };
}

module.exports = config;
