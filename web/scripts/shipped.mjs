import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'

const FILE = 'target/shipped-packages.json'

/**
 * @param {string[]} modules the files of a bundle
 */
export function writeShipped(modules) {
  const packages = modules
    .map((file) => /node_modules\/(?:.*node_modules\/)?(?:@[^/]+\/)?[^/]+/.exec(file)?.[0])
    .filter((path) => path !== undefined)
  mkdirSync('target', { recursive: true })
  writeFileSync(FILE, JSON.stringify([...new Set(packages)].sort(), null, 1))
}

/** @returns {string[]} where the packages lie that are shipped */
export function readShipped() {
  return JSON.parse(readFileSync(FILE, 'utf8'))
}
