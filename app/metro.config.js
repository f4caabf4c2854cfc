const { getDefaultConfig } = require('expo/metro-config');
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

module.exports = config;
