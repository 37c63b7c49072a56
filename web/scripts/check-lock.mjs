/**
 * Holds package-lock.json to what is used with good conscience: every package has a licence that
 * fits Apache 2.0 and comes from the registry, and nothing is shipped in two majors. Prints each
 * offence, and exits with 1 if there is one. Needs a build before it, which tells what is shipped.
 */
import { readFileSync } from 'node:fs'
import { readShipped } from './shipped.mjs'

const FITTING = new Set([
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC0-1.0',
  'CC-BY-4.0',
  'ISC',
  'MIT',
  'MIT-0',
  'MPL-2.0',
  'OFL-1.1',
  'Python-2.0',
])

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'))
const offences = []

const nameOf = (path) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)

function fits(licence) {
  const choices = licence.replace(/[()]/g, '').split(/ OR /)
  return choices.some((choice) => choice.split(/ AND /).every((one) => FITTING.has(one.trim())))
}

for (const [path, one] of Object.entries(packages)) {
  if (path === '' || one.link) continue
  if (typeof one.license !== 'string') offences.push(`${nameOf(path)} names no licence`)
  else if (!fits(one.license)) offences.push(`${nameOf(path)} has the licence ${one.license}`)
  if (one.resolved && !one.resolved.startsWith('https://registry.npmjs.org/'))
    offences.push(`${nameOf(path)} comes from ${one.resolved}`)
}

const majors = new Map()
for (const path of readShipped()) {
  const major = packages[path].version.split('.')[0]
  const seen = majors.get(nameOf(path))
  if (seen !== undefined && seen !== major)
    offences.push(`${nameOf(path)} is shipped in majors ${seen} and ${major}`)
  majors.set(nameOf(path), major)
}
if (!majors.has('@vue/runtime-core'))
  offences.push('the list of what is shipped is empty; build first')

for (const offence of offences) console.error(`package-lock.json: ${offence}`)
process.exit(offences.length > 0 ? 1 : 0)
