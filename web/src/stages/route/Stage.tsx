import { lazy } from 'react'
import { EvaluationScope } from '../../state/evaluationScope'
import { usePart } from '../../parts/usePart'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { OtherMachines } from './OtherMachines'
import { Prices } from './Prices'
import { RouteTable } from './RouteTable'

const CostChart = lazy(() => import('./CostChart').then((m) => ({ default: m.CostChart })))
const DcSheet = lazy(() => import('./DcSheet').then((m) => ({ default: m.DcSheet })))

const sections: Section[] = [
  { id: 'routes', name: 'Compared' },
  { id: 'other-machines', name: 'Other machines' },
  { id: 'prices', name: 'Prices' },
  { id: 'crossover', name: 'Crossover' },
  { id: 'dc', name: 'DC drive' },
]

/** The ways to go, held against each other in this shop's numbers, and the one chosen. */
export default function RouteStage() {
  const compared = usePart('routes')
  return (
    <EvaluationScope value={compared}>
      <StageHead stage="route" sections={sections} />
      <RouteTable compared={compared} />
      <div className="mt-4 grid gap-4 @wider:grid-cols-2">
        <OtherMachines />
        <Prices />
      </div>
      <WhenSeen id="crossover" height={360}>
        <CostChart compared={compared} />
      </WhenSeen>
      <WhenSeen id="dc" height={200}>
        <DcSheet compared={compared} />
      </WhenSeen>
    </EvaluationScope>
  )
}
