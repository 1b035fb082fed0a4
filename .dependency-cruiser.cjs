/** No circles of imports, type-only ones included; the directions are held by eslint.config.mjs. */
module.exports = {
  forbidden: [{ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } }],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    exclude: { path: '(^|/)(node_modules|dist)/' },
    doNotFollow: { path: 'node_modules' },
  },
};
