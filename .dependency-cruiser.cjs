/** The walls of the house: which part may know which. */
module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      comment: 'core knows neither server nor web nor Node, and only the libraries it names.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '[.]spec[.]ts$' },
      to: { pathNot: ['^core/src', 'node_modules/valibot'] },
    },
    {
      name: 'places-do-not-know-each-other',
      severity: 'error',
      from: { path: '^web/src/app/places/([^/]+)/' },
      to: { path: '^web/src/app/places/', pathNot: '^web/src/app/places/$1/' },
    },
    {
      name: 'handling-knows-core-not-state',
      severity: 'error',
      from: { path: '^web/src/app/handling/' },
      to: { path: '^web/src/app/(state|places)/' },
    },
    {
      name: 'sql-only-in-server',
      severity: 'error',
      from: { pathNot: '^server/' },
      to: { path: 'node_modules/better-sqlite3' },
    },
    {
      name: 'database-below-services',
      comment:
        'The database gives and takes rows: it knows neither what happens with them nor who asks.',
      severity: 'error',
      from: { path: '^server/src/database/', pathNot: '[.]spec[.]ts$' },
      to: { path: '^server/src/(services|routes)/' },
    },
    {
      name: 'services-below-routes',
      comment: 'What happens does not depend on who asked over HTTP.',
      severity: 'error',
      from: { path: '^server/src/services/', pathNot: '[.]spec[.]ts$' },
      to: { path: ['^server/src/routes/', 'node_modules/(@types/)?express'] },
    },
    {
      name: 'sql-in-database-and-keeping',
      comment: 'Keeping opens, copies and replaces whole files; everything else asks the database.',
      severity: 'error',
      from: {
        path: '^server/src/',
        pathNot:
          '^server/src/(database|services/(keeping|access)|testing)/|[.]spec[.]ts$|^server/src/serve[.]ts$',
      },
      to: { path: 'node_modules/(@types/)?better-sqlite3' },
    },
    {
      name: 'web-and-server-meet-in-core',
      severity: 'error',
      from: { path: '^(web|server)/src' },
      to: { path: '^(web|server)/src', pathNot: '^$1/src' },
    },
    {
      name: 'no-unlisted-packages',
      severity: 'error',
      from: { path: '^(core|server|web)/src', pathNot: '[.]spec[.]ts$' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown', 'unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['types', 'import', 'node', 'default'],
      mainFields: ['types', 'module', 'main'],
    },
    exclude: { path: '(^|/)dist/(?!.*node_modules)' },
  },
};
