import { spent } from '@zesty/core/record'
import { lazy } from 'react'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { usePrint } from '../../parts/usePrint'
import { WhenSeen } from '../../parts/WhenSeen'
import { Photos } from '../../photos/Photos'
import { LogForm } from './LogForm'
import { LogList } from './LogList'
import { NextSheet } from './NextSheet'
import { PapersSheet } from './PapersSheet'
import { UpkeepSheet } from './UpkeepSheet'
import { useLog } from './useLog'

const Readings = lazy(() => import('../../measurements/Readings').then((m) => ({ default: m.Readings })))

const sections: Section[] = [
  { id: 'log', name: 'Log' },
  { id: 'next', name: 'What is next' },
  { id: 'upkeep', name: 'Upkeep' },
  { id: 'papers', name: 'Papers' },
  { id: 'readings', name: 'Readings' },
]

/** What happened, what it cost, what is due; and what a symptom may come from. */
export default function LogStage() {
  const { entries, held, problem, add, remove } = useLog()
  const print = usePrint()
  const money = spent(entries)
  return (
    <>
      <StageHead stage="log" sections={sections} />
      <section className="sheet" aria-labelledby="log">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h2 id="log" tabIndex={-1} className="h-part">
            Log
          </h2>
          {money > 0 && <span className="font-semibold">Spent by the log: {print('money', money)}</span>}
        </div>
        <div className="print:hidden">
          <LogForm onAdd={add} />
        </div>
        <Photos of="log" what="the machine" words="Photo for the log" />
        {problem !== undefined && (
          <p role="alert" className="mt-2 font-medium text-oxide">
            {problem}
          </p>
        )}
        <LogList entries={entries} held={held} onRemove={(entry) => void remove(entry)} />
      </section>
      <NextSheet log={entries} />
      <UpkeepSheet entries={entries} onAdd={add} />
      <PapersSheet />
      <WhenSeen id="readings" height={260}>
        <Readings />
      </WhenSeen>
    </>
  )
}
