// The licences of everything that ships, written to docs/licences.md; with --check, that the page is as it should be and that nothing
// ships under terms we could not keep.
import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../', import.meta.url))
const PAGE = `${root}docs/licences.md`
/** Terms that ask for no more than to be named, and open font and document licences. */
const KEPT = [
  'MIT',
  'ISC',
  '0BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'OFL-1.1',
  'CC0-1.0',
  'BlueOak-1.0.0',
  'PostgreSQL',
  'Unlicense',
  'Python-2.0',
  'Zlib',
]

const { packages } = JSON.parse(readFileSync(`${root}package-lock.json`, 'utf8'))
const shipped = new Map()
const SHIPS = ['apps/server', 'apps/web', 'packages/core', 'packages/contract', 'packages/formats', 'demo']

/** Where a package that something needs is found, as node looks for it. */
function found(from, name) {
  for (let at = from; ; at = at.slice(0, Math.max(0, at.lastIndexOf('/node_modules/')))) {
    const place = `${at ? `${at}/` : ''}node_modules/${name}`
    if (packages[place]) return place
    if (!at) return undefined
  }
}

function take(place) {
  for (const name of Object.keys({ ...packages[place].dependencies, ...packages[place].optionalDependencies })) {
    let at = found(place, name) ?? found('', name)
    if (!at || shipped.has(at)) continue
    if (packages[at].link) at = packages[at].resolved
    if (SHIPS.includes(at)) continue
    const { version } = packages[at]
    const { license, licenses } = JSON.parse(readFileSync(`${root}${at}/package.json`, 'utf8'))
    shipped.set(at, { name, version, licence: String(license?.type ?? license ?? licenses?.[0]?.type ?? 'not said') })
    take(at)
  }
}
for (const place of SHIPS) take(place)

const rows = [...shipped.values()].toSorted((a, b) => `${a.name} ${a.version}`.localeCompare(`${b.name} ${b.version}`, 'en'))
const strange = rows.filter(
  ({ licence }) =>
    !licence
      .replace(/[()]/g, '')
      .split(' OR ')
      .some((l) => l.split(' AND ').every((one) => KEPT.includes(one))),
)
const page = `# Licences of what ships

Snug Bolt itself is under the MIT licence. This page is written by \`node scripts/licences.mjs\` from what the server and the interface are
made of; \`npm run lint\` fails when it is out of date, or when something ships under terms that ask for more than to be named.

| package | version | licence |
| --- | --- | --- |
${rows.map((r) => `| ${r.name} | ${r.version} | ${r.licence} |`).join('\n')}
`
if (strange.length) {
  console.error(`Ships under terms not looked at yet: ${strange.map((r) => `${r.name} (${r.licence})`).join(', ')}`)
  process.exit(1)
}
if (!process.argv.includes('--check')) writeFileSync(PAGE, page)
else if (readFileSync(PAGE, 'utf8') !== page) {
  console.error('docs/licences.md is out of date; run: node scripts/licences.mjs')
  process.exit(1)
}
