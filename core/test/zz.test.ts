import { writeFileSync } from 'node:fs'
import { wiringOf } from '../src/wiring/wiringOf'
import { sheetsOf } from '../src/schematic/sheetsOf'
import { drawSheet } from '../src/schematic/drawSheet'
import { toSvg } from '../src/drawing/svg'
import { demoPlans } from './demoPlans'
import { it } from '@jest/globals'
it('t', () => {
  for (const [name, plan] of demoPlans) {
    const w = wiringOf(plan)
    const t = performance.now()
    const sheets = sheetsOf(w)
    const ms = performance.now() - t
    for (const s of sheets) {
      const d = drawSheet(s.layout, w)
      console.log(
        name,
        s.id,
        d.width.toFixed(0),
        d.height.toFixed(0),
        'cross',
        s.layout.crossings,
        'together',
        s.layout.together,
        s.layout.paths.length,
        ms.toFixed(1),
      )
      writeFileSync(`/tmp/${name}-${s.id}.svg`, toSvg(d, s.name))
    }
  }
})
