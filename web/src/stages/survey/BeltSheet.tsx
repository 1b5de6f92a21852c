import {
  beltNames,
  isPlainBelt,
  numberOf,
  type BeltId,
  type TransmissionStage,
  type TransmissionStagePath,
} from '@zesty/core'
import { useEvaluation } from '../../state/evaluation'
import { SelectField } from '../../parts/ChoiceField'
import { FigureTable, type FigureRow } from '../../parts/FigureTable'
import { QuantityField } from '../../parts/QuantityField'

/** Belts to choose from, by the kind of stage; flat belts have no section. */
const namesFor = (kind: TransmissionStage['kind']): Record<string, string> =>
  kind === 'timing-belt' ? beltNames.tooth : kind === 'poly-v' ? beltNames.rib : kind === 'v-belt' ? beltNames.v : {}

/** A belt as it lies: measured any way and told the others; what it bears, and how tight it is. */
export function BeltSheet({
  at,
  id,
  stage,
  first,
}: {
  at: TransmissionStagePath
  id: BeltId
  stage: TransmissionStage
  first: boolean
}) {
  const { figures } = useEvaluation()
  const isV = stage.kind === 'v-belt'
  const stockAt = numberOf(figures[`${id}.stockCentre`])
  const outside =
    stockAt !== undefined && (stockAt < (stage.slotLeastMm ?? 0) || stockAt > (stage.slotMostMm ?? Infinity))
  const names = namesFor(stage.kind)
  return (
    <div className="flex flex-col gap-3 rounded-md border border-rule bg-card p-2.5">
      <Part
        name="The belt"
        empty="Type what you measured: the distance of the shafts, or the belt. Its section tells the stock belt and what it bears."
        rows={[
          { id: `${id}.length`, label: 'Pitch length' },
          { id: `${id}.centre`, label: 'Centre to centre', note: 'that this belt gives' },
          { id: `${id}.wrap`, label: 'Wrap on the small pulley' },
          { id: `${id}.inMesh`, label: 'Teeth in mesh there', note: 'six wanted' },
          { id: `${id}.driverMm`, label: 'Driving pulley, where it runs' },
          { id: `${id}.drivenMm`, label: 'Driven pulley, where it runs' },
          { id: `${id}.stock`, label: 'Stock belt next to it', note: 'others are sold too' },
          { id: `${id}.stockCentre`, label: 'The motor then sits at', note: outside ? 'outside its slot' : undefined },
          { id: `${id}.nearest`, label: 'Nearest', note: 'to put the belt on' },
          { id: `${id}.farthest`, label: 'Farthest', note: 'when it has stretched' },
        ]}
      >
        {Object.keys(names).length > 0 && (
          <SelectField path={`${at}.section`} options={names} label={isV ? 'Belt section' : 'Belt'} />
        )}
        <QuantityField path={`${at}.centreMm`} hint="" placeholder="412 mm" />
        <QuantityField path={`${at}.beltMm`} hint="" placeholder="as printed" />
        {isV && <QuantityField path={`${at}.outsideMm`} label="or round its outside" hint="" placeholder="by a tape" />}
        {isV && <SelectField path={`${at}.grooves`} options={names} none="As the belt" />}
        <QuantityField path={`${at}.slotLeastMm`} hint="" placeholder="motor pushed in" />
        <QuantityField path={`${at}.slotMostMm`} hint="" placeholder="motor pulled out" />
      </Part>
      {isPlainBelt(stage.kind) && (
        <Part
          name="What it bears and how tight it is"
          empty="Once the belt lies, its tension and what it bears stand here."
          rows={[
            { id: `${id}.beltW`, label: 'One belt bears', note: 'by its section; the maker’s rating rules' },
            { id: `${id}.beltsWanted`, label: 'Side by side for this motor' },
            { id: `${id}.startNm`, label: 'A start asks, on the small pulley' },
            { id: `${id}.staticTensionN`, label: 'Pull of each side at rest', note: 'so that a start does not slip' },
            { id: `${id}.deflectionMm`, label: 'Press the middle of one belt in by' },
            { id: `${id}.deflectionForceN`, label: 'It should take' },
            { id: `${id}.foundN`, label: 'Pull of each side as it is' },
            { id: `${id}.slipsNm`, label: 'It slips at, on the small pulley' },
          ]}
        >
          <QuantityField path={`${at}.belts`} hint="" placeholder="1" />
          {isV && <QuantityField path={`${at}.ratedBeltW`} hint="" placeholder="from its section" />}
          <QuantityField path={`${at}.deflectionForceN`} hint="" placeholder="spring balance" />
          <QuantityField path={`${at}.deflectionMm`} hint="" placeholder="by a rule" />
        </Part>
      )}
      {first && isV && (
        <Part
          name="On the motor’s shaft"
          empty="With the bore and the motor’s frame: the key, and whether the pulley can be bored to fit."
          rows={[
            { id: `${id}.keyWidth`, label: 'Key of the motor’s shaft, width' },
            { id: `${id}.keyway`, label: 'Keyway in the hub, over the bore' },
            { id: `${id}.wall`, label: 'Iron left to the groove', note: '4 mm wanted' },
          ]}
        >
          <QuantityField path={`${at}.boreMm`} hint="" placeholder="19 mm" />
        </Part>
      )}
    </div>
  )
}

/** Fields on the left, what follows from them on the right. */
function Part({
  name,
  rows,
  empty,
  children,
}: {
  name: string
  rows: readonly FigureRow[]
  empty: string
  children: React.ReactNode
}) {
  const { figures, blocked } = useEvaluation()
  const known = rows.filter((row) => figures[row.id] !== undefined || blocked[row.id] !== undefined)
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-4 gap-y-2 @wider:grid-cols-2">
      <div className="grid grid-cols-2 content-start items-start gap-2">
        <h4 className="label col-span-full">{name}</h4>
        {children}
      </div>
      {known.length > 0 ? (
        <FigureTable heading="Worked out" rows={known} />
      ) : (
        <p className="lead self-center">{empty}</p>
      )}
    </div>
  )
}
