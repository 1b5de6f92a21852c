import { claimOf, findFields, messageText, planWork, stageIds, stages, type StageId } from '@zesty/core'
import { Command } from 'cmdk'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api } from '../state/api'
import { overlayChanged } from '../state/screenSlice'
import { makeAgain, takeBack } from '../state/takeBack'
import { useAppDispatch } from '../state/store'
import { switchTheme } from '../state/theme'
import { useSwitchUnits } from '../state/useSwitchUnits'
import { goToField, openStage } from '../state/goToField'
import { printStage } from '../state/printing'
import { focusFinding, focusNextFinding } from './focusFinding'
import { useEvaluation } from '../state/evaluation'
import { useChange, useConversionId, usePlan, useShopId } from '../state/openPlan'
import { useUnits } from '../state/units'
import { useOffers } from '../state/offers'

const item =
  'flex min-h-11 cursor-pointer items-center justify-between gap-4 rounded px-3 py-1.5 data-[selected=true]:bg-blue-wash'
const group =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:font-cond [&_[cmdk-group-heading]]:text-[15px] [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-ink-2'

/** Go anywhere, do anything, by typing a few letters of it. */
export function Palette({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const change = useChange()
  const plan = usePlan()
  const units = useUnits()
  const id = useConversionId()
  const shopId = useShopId()
  const evaluation = useEvaluation()
  const offers = useOffers()
  const switchUnits = useSwitchUnits(shopId, units)
  const { data: machines } = api.useMachinesQuery(shopId)
  const [text, setText] = useState('')
  const run = (work: () => void) => () => {
    onClose()
    // After the dialog has given the focus back, so that where we jump keeps it.
    setTimeout(work, 60)
  }
  return (
    <Command.Dialog
      open
      onOpenChange={(now) => !now && onClose()}
      label="Find"
      overlayClassName="fixed inset-0 z-40 bg-black/45"
      contentClassName="fixed top-[8vh] left-1/2 z-50 w-[calc(100vw-24px)] max-w-[620px] -translate-x-1/2 rounded-lg border border-edge bg-paper p-3 shadow-2xl"
    >
      <Command.Input
        className="field"
        placeholder="Type what you want: a field, a stage, a remedy"
        value={text}
        onValueChange={setText}
      />
      <Command.List className="mt-2 max-h-[60vh] overflow-auto">
        <Command.Empty className="lead px-3 py-4">Nothing goes by that name.</Command.Empty>
        <Command.Group heading="Stages" className={group}>
          {stageIds.map((s, i) => (
            <Command.Item key={s} className={item} value={`stage ${stages[s].name}`} onSelect={run(() => openStage(s))}>
              {stages[s].name} <kbd className="font-sans text-ink-2">{(i + 1) % 10}</kbd>
            </Command.Item>
          ))}
        </Command.Group>
        {evaluation.findings.length > 0 && (
          <Command.Group heading="Findings and remedies" className={group}>
            {evaluation.findings.flatMap((f) => [
              <Command.Item
                key={f.id}
                className={item}
                value={`finding ${f.id} ${messageText(f.title, units)}`}
                onSelect={run(() => focusFinding(f.id))}
              >
                {messageText(f.title, units)}
              </Command.Item>,
              ...offers.of(f.id).map((r) => {
                const label = messageText(r.label, units)
                const words = claimOf(r.patch) === undefined ? label : `Plan it: ${label}`
                return (
                  <Command.Item
                    key={`${f.id} ${label}`}
                    disabled={!offers.isTried(f.id)}
                    className={`${item} pl-8 text-blue`}
                    value={`remedy ${f.id} ${words}`}
                    onSelect={run(() => change(words, planWork(plan, label, r.patch)))}
                  >
                    {words}
                  </Command.Item>
                )
              }),
            ])}
          </Command.Group>
        )}
        {evaluation.missing.length > 0 && (
          <Command.Group heading="Not known yet" className={group}>
            {evaluation.missing.map((m) => (
              <Command.Item
                key={m.path}
                className={item}
                value={`field ${m.path} ${m.label}`}
                onSelect={run(() => goToField(m.path))}
              >
                {m.label} <span className="text-ink-2">{stages[m.stage].name}</span>
              </Command.Item>
            ))}
          </Command.Group>
        )}
        {text.trim().length > 1 && (
          <Command.Group heading="Fields" className={group}>
            {findFields(plan, text).map(({ path, name, within, stage }) => (
              <Command.Item
                key={path}
                className={item}
                // What was asked stands in it: it was found by more than its name.
                value={`${text} any ${path}`}
                onSelect={run(() => goToField(path))}
              >
                <span className="first-letter:uppercase">{name}</span>{' '}
                <span className="text-ink-2">{whereOf(within, stage)}</span>
              </Command.Item>
            ))}
          </Command.Group>
        )}
        <Command.Group heading="Do" className={group}>
          {(
            [
              ['Undo', 'Ctrl Z', takeBack],
              ['Redo', 'Ctrl Y', makeAgain],
              ['Next finding', 'f', focusNextFinding],
              [`Show ${units === 'metric' ? 'inches and horsepower' : 'millimetres and kilowatts'}`, 'u', switchUnits],
              ['Print this stage', '', () => void printStage()],
              ['Light or dark', '', switchTheme],
              ['Revisions', '', () => dispatch(overlayChanged('revisions'))],
              ['Export as a file', '', () => window.location.assign(`/api/conversions/${id}/export`)],
              ['List of keys', '?', () => dispatch(overlayChanged('keys'))],
            ] as const
          ).map(([label, keys, work]) => (
            <Command.Item key={label} className={item} value={`do ${label}`} onSelect={run(work)}>
              {label} <kbd className="font-sans text-ink-2">{keys}</kbd>
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Machines of this shop" className={group}>
          {(machines ?? [])
            .filter((m) => m.id !== id)
            .map((m) => (
              <Command.Item
                key={m.id}
                className={item}
                value={`machine ${m.id} ${m.name}`}
                onSelect={run(() => void navigate(`/conversions/${m.id}`))}
              >
                {m.name}
              </Command.Item>
            ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  )
}

/** `Settings, read in the drive`; the stage alone where the part is the stage. */
const whereOf = (within: string, stage: StageId): string => {
  const { name } = stages[stage]
  return within === name.toLowerCase() ? name : `${name}, ${within}`
}
