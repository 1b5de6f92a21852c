import { describe, expect, test } from '@jest/globals'
import { cleanup, render } from '@testing-library/react'
import { describeRule, rules } from '@zesty/core/rules'
import { Formula } from '../src/parts/formula/Formula'
import { readFormula, type Term } from '../src/parts/formula/readFormula'

/** What a term was read from, one thing after another, without spaces, brackets and strokes. */
const flat = (terms: readonly Term[]): string =>
  terms
    .map((term) => {
      switch (term.kind) {
        case 'symbol':
          return term.text + (term.index ?? '')
        case 'fraction':
          return flat(term.over) + flat(term.under)
        case 'power':
          return flat([term.base]) + flat(term.exponent)
        case 'product':
        case 'root':
          return flat(term.of)
        case 'fenced':
          return flat(term.inside)
        case 'function':
          return term.name + flat([term.of])
        default:
          return term.text
      }
    })
    .join('')

const letters = (text: string): string =>
  [
    ['eta', 'η'],
    ['lambda', 'λ'],
    ['theta', 'θ'],
    ['phi', 'φ'],
    ['rho', 'ρ'],
    ['mu', 'µ'],
    ['pi', 'π'],
  ]
    .reduce((now, [name = '', letter = '']) => now.replace(new RegExp(`\\b${name}(?=\\b|_|\\d)`, 'g'), letter), text)
    .replace(/sqrt/g, '')
    .replace(/\bMohm\b/g, 'MΩ')
    .replace(/\bohm\b/g, 'Ω')
    .replace(/\bd([A-Z])\b/g, 'Δ$1')
    .replace(/mm2/g, 'mm²')
    .replace(/W\/m2K/g, 'Wm²K')
    .replace(/m3/g, 'm³')
    .replace(/m\/us/g, 'm/µs')
    .replace(/ x /g, '×')
    .replace(/sum(?! of)/g, '∑')
    .replace(/-\/\+/g, '∓')
    .replace(/<=/g, '≤')
    .replace(/>=/g, '≥')
    .replace(/\|\|/g, '∥')

/** Without what stands differently on purpose: brackets, strokes, raised marks, spaces. */
const bare = (text: string): string => text.replace(/−/g, '-').replace(/[()/^_|;°\s]/g, '')

const all = [...rules.values()].map((rule): [string, string] => [rule.id, describeRule(rule).formula])

describe('formulas', () => {
  test.each(all)('%s loses and adds nothing', (_, formula) => {
    expect(bare(flat(readFormula(formula).flat()))).toBe(bare(letters(formula)))
  })
  test('are set with bars, roots, powers and indices', () => {
    const html = (formula: string) => {
      const { container } = render(<Formula formula={formula} />)
      const [math] = container.getElementsByTagName('math')
      cleanup()
      return (math?.outerHTML ?? '').replace(/<mspace[^>]*>(<\/mspace>)?/g, '')
    }
    expect(html('60 P / (2 pi n)')).toContain(
      '<mfrac><mrow><mn>60</mn><mi>P</mi></mrow><mrow><mn>2</mn><mi>π</mi><mi>n</mi></mrow></mfrac>',
    )
    expect(html('k A/b c')).toContain('<mi>k</mi><mrow><mfrac><mrow><mi>A</mi></mrow><mrow><mi>b</mi></mrow></mfrac>')
    expect(html('sqrt(3) V_th^2')).toContain('<msqrt><mn>3</mn></msqrt>')
    expect(html('h^-mc')).toContain('<msup>')
    expect(html('(D - d) / 2C')).toContain('<mrow><mn>2</mn><mi>C</mi></mrow>')
  })
  test('stand among words that wrap, a clause to a line', () => {
    const { container } = render(<Formula formula="v = pi D n / 60; permitted where v <= marking (in words)" />)
    const lines = [...container.querySelectorAll('p')]
    expect(lines.map((p) => p.childNodes[0]?.nodeName)).toEqual(['math', '#text'])
    expect(lines[1]?.textContent).toContain('(in words)')
    cleanup()
  })
})
