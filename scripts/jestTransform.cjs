// Makes CommonJS of TypeScript and of modules for Jest, by esbuild: cold it takes a tenth of the time that Babel takes.
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');
const babel = require('babel-jest').default.createTransformer({
  presets: ['babel-preset-expo'],
  plugins: ['@babel/plugin-transform-dynamic-import'],
});

const own = readFileSync(__filename, 'utf8');

/** Calls that have to come before the imports are moved there by Babel alone. */
const needsHoisting = (source) => /\bjest\.mock\(/.test(source);

const loaderOf = (file) => (/\.tsx$/.test(file) ? 'tsx' : /\.ts$/.test(file) ? 'ts' : 'jsx');

module.exports = {
  process(source, file, options) {
    if (needsHoisting(source)) return babel.process(source, file, options);
    const { code } = transformSync(source, {
      ...{ loader: loaderOf(file), format: 'cjs', target: 'node20', platform: 'node' },
      ...{ sourcefile: file, sourcemap: 'inline', jsx: 'automatic' },
      // As Expo's own preset has it for the platform that its tests stand for.
      define: { 'process.env.EXPO_OS': '"ios"' },
      // What is loaded only when needed is required by then.
      supported: { 'dynamic-import': false },
    });
    return { code };
  },
  getCacheKey: (source, file, { configString }) =>
    createHash('sha1').update([version, own, file, configString, source].join('\0')).digest('hex'),
};
