import { today } from '../../parts/today'
import { printQuantity, type Plan, type UnitSystem } from '@zesty/core'
import type { Reading } from '@zesty/core/measurements'
import { looseEndsOf, scheduleOf, type BuildStep, type Drawing, type Wiring } from '@zesty/core/wiring'
import type { Paper } from '@zesty/pdf'
import { openPdf } from '../../drawings/openPdf'

/** The wiring pack: every sheet, the wire list, the steps with boxes to tick, and what is still open. */
export async function packPdf(
  plan: Plan,
  wiring: Wiring,
  sheets: readonly { name: string; drawing: Drawing }[],
  steps: readonly BuildStep[],
  units: UnitSystem,
  readings: readonly Reading[],
): Promise<Uint8Array> {
  const paper: Paper = units === 'imperial' ? 'letter' : 'a4'
  const pdf = await openPdf(paper, `${plan.name}: wiring, ${today()}. It plans and explains; local codes rule.`)
  for (const { name, drawing } of sheets) pdf.drawing(drawing, name)
  pdf.part('Wire list')
  const columns = [10, 24, 88, 152, 178, 200] as const
  const widths = [13, 62, 62, 25, 21, 58] as const
  const line = (texts: readonly string[], bold = false, box = false) =>
    pdf.row(
      texts.map((text, i) => ({ x: columns[i] ?? 0, width: widths[i] ?? 30, text, bold })),
      box,
    )
  line(['No.', 'From', 'To', 'Colour', 'Size', 'Is'], true)
  for (const r of scheduleOf(wiring))
    line(
      [
        String(r.number),
        `${r.from} ${r.fromTerminal}`,
        `${r.to} ${r.toTerminal}`,
        r.colour,
        r.areaMm2 === undefined ? 'not known' : printQuantity({ value: r.areaMm2, dimension: 'area' }, units),
        r.byHand === '' ? r.purpose : `${r.purpose} (by hand: ${r.byHand})`,
      ],
      false,
      true,
    )
  pdf.part('Build and prove')
  steps.forEach((step, i) => {
    pdf.row(
      [
        {
          x: 6,
          width: 250,
          text: `${i + 1}. ${step.title}${step.licensed === true ? ' (by whoever the code allows it)' : ''}`,
          bold: true,
        },
      ],
      true,
    )
    for (const text of [
      ...step.do,
      ...(step.caution === undefined ? [] : [step.caution]),
      ...step.sees.map((s) => `Then: ${s}`),
    ])
      pdf.row([{ x: 12, width: 244, text }])
  })
  const ends = looseEndsOf(plan, steps, wiring, readings)
  pdf.part(`Loose ends, ${ends.length}`)
  if (ends.length === 0) pdf.row([{ x: 0, width: 250, text: 'None is noted.' }])
  for (const { what, stop } of ends)
    pdf.row([{ x: 6, width: 244, text: stop ? `${what}: not to be used with it` : what }], true)
  return pdf.save()
}
