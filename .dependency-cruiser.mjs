// @ts-check

/**
 * The rooms of core from the ground up. What stands on one line does not know what stands on a later one; rooms of one
 * line are beside each other, and no-cycles keeps them from needing one another.
 */
const coreRooms = [
  ['quantities', 'rules', 'graph'],
  ['data'],
  ['drivetrain'],
  ['stages', 'drawing'],
  ['manual', 'photos', 'log', 'readings'],
  ['plan'],
  ['motor', 'drive', 'supply', 'dc', 'cnc', 'workholding', 'cutting', 'controls', 'cost'],
  ['measurements', 'wiring'],
  ['rulebook'],
  ['facts'],
  ['commanded'],
  ['runIn', 'mount', 'axes'],
  ['findings'],
  ['evaluate'],
  ['conversion'],
  ['library', 'plate', 'report', 'dial', 'causes', 'speeds', 'compare', 'schematic', 'sequence', 'survey'],
  ['card'],
  ['papers', 'shown'],
  ['search', 'http', 'formats'],
  ['doors'],
]

/** The same of the page. A stage's screen is fetched by its folder's name, so the shell does not import it. */
const webRooms = [
  ['state'],
  ['parts'],
  ['measurements', 'photos', 'devices', 'drawings', 'library', 'workers'],
  ['candidates'],
  ['stages', 'shop', 'conversion'],
  ['app'],
]

/** Forbids a room that is not listed: nothing would be known of its arrows. @param {string} at @param {string[][]} rooms */
const everyRoomListed = (at, rooms) => ({
  name: `a-room-of-${at.split('/')[0]}-that-is-not-listed`,
  comment: 'A new room is listed above, with those that it may stand on below it.',
  severity: /** @type {const} */ ('error'),
  from: { path: `^${at}/[^/]+/`, pathNot: `^${at}/(${rooms.flat().join('|')})/` },
  to: {},
})

/** Forbids every arrow from a room to one above it. @param {string} at @param {string[][]} rooms */
const nothingBackUp = (at, rooms) =>
  rooms.slice(0, -1).map((line, i) => ({
    name: `up-from-${line.join('-')}`,
    comment: 'Arrows run down only: see the rooms above.',
    severity: /** @type {const} */ ('error'),
    from: { path: `^${at}/(${line.join('|')})/` },
    to: {
      path: `^${at}/(${rooms
        .slice(i + 1)
        .flat()
        .join('|')})/`,
    },
  }))

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
    {
      name: 'core-by-its-doors',
      comment: 'What is not named by a door of core is private to it.',
      severity: 'error',
      from: { pathNot: '^core/' },
      to: { path: '^core/src/', pathNot: '^core/src/doors/' },
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
    everyRoomListed('core/src', coreRooms),
    everyRoomListed('web/src', webRooms),
    ...nothingBackUp('core/src', coreRooms),
    ...nothingBackUp('web/src', webRooms),
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
