// @ts-check

/**
 * Leaves what rules say of themselves (title, formula, source, example, the words of their fields) out of the
 * page's bundle. The page runs rules and fetches their words from the server with the first working that is
 * opened; they are a tenth of what the first load carries otherwise.
 * @returns {import('vite').Plugin}
 */
export function withoutRuleDocs() {
  return {
    name: 'without-rule-docs',
    apply: 'build',
    transform(code, id) {
      if (!id.includes('/core/src/')) return undefined
      /** @type {[number, number, string][]} */
      const cuts = []
      const wordy = new Set()
      walk(this.parse(code), (node) => {
        if (node.type === 'ImportDeclaration' && /rules\/inputs$/.test(node.source.value))
          for (const { local } of node.specifiers) wordy.add(local.name)
        if (node.type !== 'CallExpression') return
        const [first] = node.arguments
        if (node.callee.name === 'rule' && first?.type === 'ObjectExpression')
          for (const { key, value } of first.properties)
            if (docs.has(key?.name)) cuts.push([value.start, value.end, key.name === 'example' ? '{}' : "''"])
        if (node.callee.type === 'MemberExpression' && node.callee.property.name === 'describe')
          cuts.push([node.callee.object.end, node.end, ''])
        if (wordy.has(node.callee.name) && node.arguments.every((/** @type {any} */ a) => a.type === 'Literal'))
          for (const { start, end } of node.arguments) cuts.push([start, end, "''"])
      })
      if (cuts.length === 0) return undefined
      // From the end, and the outer of two before the inner, which goes with it.
      cuts.sort((a, b) => b[0] - a[0] || b[1] - a[1])
      let [left, kept] = [code, Infinity]
      for (const [start, end, instead] of cuts.filter(
        ([s, e]) => !cuts.some(([os, oe]) => os <= s && oe >= e && oe - os > e - s),
      )) {
        if (end > kept) continue
        left = left.slice(0, start) + instead + left.slice(end)
        kept = start
      }
      return { code: left, map: null }
    },
  }
}

const docs = new Set(['title', 'formula', 'source', 'example'])

/** @param {any} node @param {(node: any) => void} visit */
function walk(node, visit) {
  if (Array.isArray(node)) for (const each of node) walk(each, visit)
  else if (node !== null && typeof node === 'object') {
    if (typeof node.type === 'string') visit(node)
    for (const key of Object.keys(node)) if (key !== 'type' && key !== 'start' && key !== 'end') walk(node[key], visit)
  }
}
