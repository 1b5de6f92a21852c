import { fieldAt, printQuantity, type FigureId, type FigureInput } from '@zesty/core'
import type { ShownFigure } from '@zesty/core/run-in'
import { ChevronLeft } from 'lucide-react'
import { useState } from 'react'
import { api } from '../state/api'
import { useFigures } from '../state/evaluation'
import { useUnits } from '../state/units'
import { goToField } from '../state/goToField'
import { Formula } from './formula/Formula'

const basisWords = {
  given: 'Given: from the plate or typed by you',
  measured: 'Measured',
  computed: 'Computed',
  typical: 'Typical planning value',
}

/** A figure's formula, its numbers with units, its source and basis, and the figures it came from. */
export function Working({ of }: { of: FigureId | ShownFigure }) {
  const { figures } = useFigures()
  const [trail, setTrail] = useState([of])
  const at = trail[trail.length - 1] ?? of
  const figure = typeof at === 'string' ? figures[at] : at
  return (
    <div className="flex flex-col gap-2 text-[15px]">
      {trail.length > 1 && (
        <button type="button" className="btn btn-quiet self-start" onClick={() => setTrail(trail.slice(0, -1))}>
          <ChevronLeft size={18} aria-hidden="true" /> Back
        </button>
      )}
      {figure ? (
        <Known figure={figure} open={(next) => setTrail([...trail, next])} />
      ) : (
        typeof at === 'string' && <Unknown id={at} />
      )}
    </div>
  )
}

function Known({ figure, open }: { figure: ShownFigure; open: (id: FigureId) => void }) {
  const units = useUnits()
  const { path } = figure
  const { data: rule, isError } = api.useRuleQuery(figure.ruleId ?? '', { skip: figure.ruleId === undefined })
  return (
    <>
      <h3 className="h-part">{figure.label}</h3>
      <p className="font-cond text-[28px] leading-none font-semibold">{printQuantity(figure, units)}</p>
      <p>
        {basisWords[figure.basis]}
        {figure.basis === 'computed' && figure.restsOnTypical && (
          <span className="text-brass">, in part from typical planning values</span>
        )}
      </p>
      {figure.ruleId !== undefined && (
        // Held in place until it is there.
        <div className="min-h-11 rounded border border-rule bg-paper px-2.5 py-2 font-medium">
          {rule ? (
            <Formula formula={rule.formula} />
          ) : (
            isError && 'The server, which keeps the formulas, does not answer.'
          )}
        </div>
      )}
      {figure.from.length > 0 && (
        <table className="w-full">
          <tbody>
            {figure.from.map((line) => (
              <FromLine key={line.key} line={line} open={open} />
            ))}
          </tbody>
        </table>
      )}
      <p className="text-ink-2">
        Source:{' '}
        {(figure.ruleId === undefined ? figure.citation : (rule?.citation ?? 'with the formula')) ??
          (figure.path ? `typed at ${fieldAt(figure.path).label.toLowerCase()}` : 'the plan')}
        .
      </p>
      {path && (
        <button type="button" className="btn self-start" onClick={() => goToField(path)}>
          Go to the field
        </button>
      )}
    </>
  )
}

function FromLine({ line, open }: { line: FigureInput; open: (id: FigureId) => void }) {
  const units = useUnits()
  const text =
    typeof line.value === 'number' && line.dimension
      ? printQuantity({ value: line.value, dimension: line.dimension }, units)
      : typeof line.value === 'boolean'
        ? line.value
          ? 'yes'
          : 'no'
        : String(line.value)
  const { figureId } = line
  return (
    <tr className="border-b border-rule">
      <td className="py-1 pr-2">
        {line.label}
        {line.basis === 'typical' && <span className="text-brass"> (typical)</span>}
      </td>
      <td className="text-right font-semibold">
        {figureId ? (
          <button
            type="button"
            className="min-h-11 min-w-11 text-right text-blue underline decoration-dotted underline-offset-4"
            onClick={() => open(figureId)}
          >
            {text}
          </button>
        ) : (
          text
        )}
      </td>
    </tr>
  )
}

function Unknown({ id }: { id: FigureId }) {
  const { blocked } = useFigures()
  const why = blocked[id]
  return (
    <>
      <h3 className="h-part">{why?.label ?? 'Not known yet'}</h3>
      {why?.refusal && <p>{why.refusal}.</p>}
      {why && why.missing.length > 0 && (
        <>
          <p>It waits for:</p>
          <ul className="flex flex-col gap-1">
            {why.missing.map((path) => (
              <li key={path}>
                <button type="button" className="btn w-full justify-start" onClick={() => goToField(path)}>
                  {fieldAt(path).label}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}
