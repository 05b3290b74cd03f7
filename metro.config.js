const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// Packages that carry WASM as a UTF-8 string double in size when it is escaped.
config.transformer.minifierConfig.output = {
  ...config.transformer.minifierConfig.output,
  ascii_only: false,
};

module.exports = config;
