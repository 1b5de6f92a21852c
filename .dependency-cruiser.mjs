// @ts-check

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    {
      name: 'no-cycles',
      comment: 'Modules that need each other are one module, or want a third.',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-is-pure',
      comment: 'core imports nothing but itself, Zod, and the CSV reader, which touches no file and no page.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: ['^core/src', 'node_modules/(zod|papaparse)/'] },
    },
    { name: 'nothing-imports-web', severity: 'error', from: { pathNot: '^web/' }, to: { path: '^web/' } },
    {
      name: 'web-knows-only-core',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|cli|tools|e2e)/' },
    },
    {
      name: 'server-knows-only-core',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(web|cli|tools|e2e)/' },
    },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['^core/test'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.css'],
    },
  },
}
