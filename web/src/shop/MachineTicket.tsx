import { machineKinds, messageText, type UnitSystem } from '@zesty/core'
import { isReadable, type MachineLine, type ReadableLine, type UnreadableLine } from '@zesty/core/http'
import { formatDistanceToNow } from 'date-fns'
import { Copy, Trash2 } from 'lucide-react'
import { Link } from 'react-router'
import { Mark } from '../parts/Mark'

/** One machine as a job ticket: what it is, how its chain stands, what is next. */
export function MachineTicket({
  machine,
  units,
  onCopy,
  onRemove,
}: {
  machine: MachineLine
  units: UnitSystem
  onCopy: () => void
  onRemove: () => void
}) {
  const { id, name } = machine
  return (
    <article className="flex h-full flex-col overflow-hidden rounded-lg border border-manila-edge bg-card">
      <div className="flex items-center gap-3 border-b border-dashed border-manila-edge bg-manila px-3.5 py-1">
        <span
          aria-hidden="true"
          className="size-3.5 shrink-0 rounded-full border border-manila-edge bg-paper shadow-[inset_0_1px_2px_rgba(0,0,0,.25)]"
        />
        <h2 className="min-w-0 flex-1 font-cond text-[21px] leading-tight font-semibold">
          <Link to={`/conversions/${id}`} className="flex min-h-11 items-center underline-offset-4 hover:underline">
            {name}
          </Link>
        </h2>
        {isReadable(machine) && (
          <button
            type="button"
            className="inline-flex size-11 items-center justify-center rounded text-ink-2"
            aria-label={`Begin another from ${name}`}
            onClick={onCopy}
          >
            <Copy size={18} aria-hidden="true" />
          </button>
        )}
        <button
          type="button"
          className="inline-flex size-11 items-center justify-center rounded text-ink-2"
          aria-label={`Take ${name} away`}
          onClick={onRemove}
        >
          <Trash2 size={18} aria-hidden="true" />
        </button>
      </div>
      {isReadable(machine) ? <Standing machine={machine} units={units} /> : <Unread machine={machine} />}
    </article>
  )
}

function Standing({ machine, units }: { machine: ReadableLine; units: UnitSystem }) {
  const { id, machineKind, chain, stages, stops, watches, next, task, savedAt } = machine
  return (
    <div className="flex flex-1 flex-col gap-2.5 px-3.5 py-2.5">
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[15px] text-ink-2">
        <span>{machineKind ? machineKinds[machineKind] : 'Kind not known yet'}</span>
        {stops > 0 && <Mark kind="stop" word={`${stops} ${stops === 1 ? 'stop' : 'stops'}`} />}
        {watches > 0 && <Mark kind="watch" word={`${watches} to watch`} />}
        {stops === 0 && watches === 0 && <Mark kind="ok" word="nothing to mend" />}
        <span className="ml-auto">{formatDistanceToNow(new Date(savedAt), { addSuffix: true })}</span>
      </p>
      <dl className="grid grid-cols-[auto_64px_1fr] items-center gap-x-2 gap-y-0.5">
        {chain.map((link) => (
          <div key={link.id} className="contents">
            <dd className="flex">
              <Mark kind={link.state === 'note' ? 'ok' : link.state} />
            </dd>
            <dt className="font-cond text-[16px] font-medium text-ink-2">{link.name}</dt>
            <dd className="min-w-0 truncate font-cond text-[17px] font-semibold">
              {messageText(link.headline, units)}
            </dd>
          </div>
        ))}
      </dl>
      <ol className="mt-auto flex flex-wrap gap-x-3 gap-y-1 border-t border-rule pt-2 text-[15px]">
        {stages.map((s) => (
          <li key={s.id} className="flex items-center gap-1">
            <Mark kind={s.stops > 0 ? 'stop' : s.state} /> {s.name}
          </li>
        ))}
      </ol>
      <Link
        to={`/conversions/${id}/${next.stage}`}
        className="flex min-h-11 items-center font-semibold text-blue underline underline-offset-4"
      >
        Next: {next.text}
      </Link>
      {task !== undefined && <p className="border-t border-rule pt-1.5 text-[15px]">At the machine: {task}</p>}
    </div>
  )
}

function Unread({ machine }: { machine: UnreadableLine }) {
  return (
    <div className="flex flex-1 flex-col gap-2.5 px-3.5 py-2.5 text-[15px]">
      <Mark kind="stop" word="cannot be read" />
      <p>{machine.unreadable}</p>
      <p>Nothing of it is lost: it can be taken out as the file that was kept.</p>
      <a
        className="btn mt-auto self-start"
        href={`/api/conversions/${machine.id}/export`}
        download={`${machine.name}.json`}
      >
        Take out the file as it is
      </a>
    </div>
  )
}
