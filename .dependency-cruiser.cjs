/** Who may import whom. `npm run imports` checks it, CI runs it. */
const rule = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to });

module.exports = {
  forbidden: [
    rule('no-cycles', {}, { circular: true }, 'A cycle hides which of the two is the base.'),
    rule(
      'core-stands-alone',
      { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      {
        pathNot:
          '^(packages/core/src|node_modules/papaparse|node_modules/@types/papaparse|node_modules/svgpath|node_modules/svgson|node_modules/(@types/)?d3-(color|contour))',
      },
      'The computation must run anywhere: no DOM, Node, framework or database.',
    ),
    rule('core-model-imports-nothing', { path: '^packages/core/src/model' }, { pathNot: '^packages/core/src/model' }),
    rule(
      'core-numeric-below-topics',
      { path: '^packages/core/src/numeric', pathNot: '\\.test\\.ts$' },
      { path: '^packages/core/src', pathNot: '^packages/core/src/(model|numeric)' },
    ),
    rule('contract-sees-core-only', { path: '^packages/contract' }, { path: '^packages/(server|web)' }),
    rule('server-not-web', { path: '^packages/server' }, { path: '^packages/web' }),
    rule('web-not-server', { path: '^packages/web' }, { path: '^packages/server' }),
    rule(
      'features-through-their-index',
      { path: '^packages/web/src/features/([^/]+)/' },
      { path: '^packages/web/src/features/([^/]+)/', pathNot: '^packages/web/src/features/($1/|[^/]+/index\\.ts$)' },
      'A feature shows the others only what its index names.',
    ),
    rule('shared-below-features', { path: '^packages/web/src/shared' }, { path: '^packages/web/src/(features|app)' }),
    rule(
      'no-orphans',
      {
        orphan: true,
        pathNot: '(\\.d\\.ts|\\.cjs|\\.mjs|vite\\.config\\.ts|\\.json|\\.test\\.ts|main\\.tsx?|generate\\.ts)$',
      },
      {},
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist(-kit)?/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
};
