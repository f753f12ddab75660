/**
 * The floors of core, the lowest first: a folder may use what lies on floors below its own, nothing beside or above it. Tests are
 * left out: they may look anywhere. `npm run cycles` prints what breaks this, and cycles between files and between folders, of types too.
 */
const floors = [
  ['outcome'], ['units'], ['geometry', 'working', 'memory', 'beam'], ['catalogue'], ['electrical'], ['job', 'shelf'], ['roof', 'rooflog', 'capacity', 'people'], ['trade'],
  // The trades in the order of work: each sees what stands before it.
  ['site', 'survey'], ['supports'], ['coverings'], ['keepclear'], ['rows'], ['loads'], ['rails'], ['fixings'], ['sticks'], ['strength'], ['openings'], ['inroof'], ['wiring'], ['ground'], ['fieldwork'], ['proof'],
  ['trades', 'trades-shown'], ['plan', 'start'], ['asks', 'hand'], ['sheets'],
]
const within = folders => `^core/(${folders.join('|')})(/|[.]ts$)`

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-cycle', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-folder-cycle', severity: 'error', scope: 'folder', from: { path: '^core' }, to: { circular: true } },
    ...floors.map((folders, i) => ({
      name: `floor-${folders.join('-')}`, severity: 'error', comment: 'A floor of core uses only those below it.',
      from: { path: within(folders) }, to: { path: within(floors.slice(i + 1).flat()) },
    })),
    ...floors.filter(folders => folders.length > 1).flatMap(folders => folders.map(own => ({
      name: `beside-${own}`, severity: 'error', comment: 'Folders on one floor do not use each other.',
      from: { path: within([own]) }, to: { path: within(folders.filter(one => one !== own)) },
    }))),
    { name: 'floor-of-its-own', severity: 'error', comment: 'A new folder of core gets a place among the floors.', from: { path: '^core/', pathNot: within(floors.flat()) }, to: {} },
    { name: 'floor-of-what-is-used', severity: 'error', from: { path: '^core/' }, to: { path: '^core/', pathNot: within(floors.flat()) } },
    { name: 'core-alone', severity: 'error', comment: 'core knows no framework, no server and no page.', from: { path: '^core/' }, to: { path: '^(app|server|db|cli|tests)/' } },
    { name: 'resolved', severity: 'error', from: { path: '^core/' }, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' }, exclude: { path: '^node_modules|[.]test[.]ts$' }, tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.core.json' },
    enhancedResolveOptions: { extensions: ['.ts'], exportsFields: ['exports'], conditionNames: ['import'] },
  },
}
