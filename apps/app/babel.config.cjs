/** NUCLEON_PSEUDO=1 builds the app in letters that no English has: scripts/setup/pseudoLanguage.cjs. */
module.exports = (api) => {
  const isPseudo = api.cache.using(() => process.env.NUCLEON_PSEUDO === '1');
  return {
    presets: ['babel-preset-expo'],
    plugins: isPseudo ? [require.resolve('../../scripts/setup/pseudoLanguage.cjs')] : [],
  };
};
