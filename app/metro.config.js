const { getDefaultConfig } = require('expo/metro-config');
const http = require('node:http');
const path = require('node:path');

const config = getDefaultConfig(__dirname);

// Zod ships its messages in fifty languages; ours are in src/words, so only its English file is bundled.
const onlyEnglish = path.join(__dirname, 'src', 'words', 'zodLocales.js');
config.resolver.resolveRequest = (context, moduleName, platform) => {
  const wantsLocales =
    /(^|\/)locales\/index(\.c?js)?$/.test(moduleName) && /[\\/]zod[\\/]/.test(context.originModulePath);
  return wantsLocales
    ? { type: 'sourceFile', filePath: onlyEnglish }
    : context.resolveRequest(context, moduleName, platform);
};

// While working on it there is one address: what is for the server is handed on to it.
const { API_PORT } = process.env;
if (API_PORT) {
  config.server.enhanceMiddleware = (metro) => (request, response, next) => {
    if (!request.url.startsWith('/api/')) return metro(request, response, next);
    const onward = http.request(
      { port: API_PORT, path: request.url, method: request.method, headers: { ...request.headers } },
      (answer) => {
        response.writeHead(answer.statusCode, answer.headers);
        answer.pipe(response);
      },
    );
    onward.on('error', () => response.writeHead(502).end());
    request.pipe(onward);
  };
}

module.exports = config;
