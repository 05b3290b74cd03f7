module.exports = function (api) {
  const testing = api.cache.using(() => process.env.NODE_ENV) === 'test';
  return {
    presets: ['babel-preset-expo'],
    // Only the parts of the component library that are used go into the app.
    plugins: testing ? [] : ['react-native-paper/babel'],
  };
};
