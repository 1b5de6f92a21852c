import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { jsonSchemas } from '@zesty/core/formats'
import { rules, rulesPage } from '@zesty/core/rules'

/** Generated pages by path. */
const pages = (): Record<string, string> => ({
  'docs/rules.md': rulesPage(rules.values()),
  ...Object.fromEntries(
    Object.entries(jsonSchemas()).map(([name, schema]) => [
      `docs/schema/${name}`,
      `${JSON.stringify(schema, null, 2)}\n`,
    ]),
  ),
})

/** Writes the generated pages; with `--check`, says which are stale instead. */
export function writeDocs(args: string[]): number {
  const stale = Object.entries(pages()).filter(([path, text]) => {
    try {
      return readFileSync(path, 'utf8') !== text
    } catch {
      return true
    }
  })
  for (const [path, text] of args.includes('--check') ? [] : stale) {
    mkdirSync(dirname(path), { recursive: true })
    writeFileSync(path, text)
  }
  for (const [path] of stale)
    process.stdout.write(`${path} ${args.includes('--check') ? 'is stale: run ./zesty docs' : 'written'}\n`)
  return args.includes('--check') && stale.length > 0 ? 1 : 0
}
