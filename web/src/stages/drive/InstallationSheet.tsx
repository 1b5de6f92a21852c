import { usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField, YesNoField } from '../../parts/ChoiceField'
import { FigureTable } from '../../parts/FigureTable'
import { QuantityField } from '../../parts/QuantityField'
import { placePictures } from './placePictures'

/** Where the drive hangs, the heat of its box, and the leads from there to the motor. */
export function InstallationSheet() {
  const { installation, drive } = usePlan()
  const boxed = installation.place === 'in-box'
  return (
    <section className="sheet mt-4" aria-labelledby="mount">
      <h2 id="mount" tabIndex={-1} className="h-part mb-1">
        Where it hangs
      </h2>
      <ChoiceField path="installation.place" pictures={placePictures} />
      <p className="mt-1 text-[15px] text-ink-2">
        Sealed on the machine, or open in a clean place with the controls on a lead: both are right. What reaches the
        machine is ticked in the survey.
      </p>
      <div className="mt-2 grid gap-x-5 gap-y-3 @wider:grid-cols-2">
        <div className="grid grid-cols-2 content-start gap-x-3 gap-y-2 @narrow:grid-cols-3">
          {boxed && (
            <>
              <QuantityField path="installation.boxWidthMm" placeholder="300 mm" />
              <QuantityField path="installation.boxHeightMm" placeholder="400 mm" />
              <QuantityField path="installation.boxDepthMm" placeholder="200 mm" />
              <div className="col-span-2">
                <SelectField path="installation.boxMaterial" />
              </div>
              <div className="col-span-2">
                <SelectField path="installation.boxDuty" />
              </div>
              <QuantityField path="installation.filterFanM3PerH" placeholder="none" />
            </>
          )}
          <QuantityField path="installation.roomC" placeholder="30 °C typical" />
          <QuantityField path="installation.altitudeM" placeholder="0 m" hint="" />
          <QuantityField path="installation.motorCableM" placeholder="6 m" />
          <QuantityField path="installation.motorCableMm2" placeholder="1.5 mm²" />
          <div className="col-span-full">
            <YesNoField path="installation.outputFilter" />
          </div>
        </div>
        <FigureTable
          heading="Worked out"
          rows={[
            { label: 'Heat of the drive', id: 'installation.lossW', note: 'at full load' },
            ...(boxed
              ? [
                  {
                    label: 'Inside is hotter by',
                    id: 'installation.riseK' as const,
                    note: 'in the long run',
                  },
                  { label: 'Air inside the box', id: 'installation.insideC' as const, note: 'most drives: 40 °C' },
                ]
              : []),
            { label: 'Peak at the motor’s terminals', id: 'motor.peakV', note: 'fronts that run back and forth' },
            { label: 'Peak its winding stands', id: 'motor.standsV' },
            { label: 'Cable from which it doubles', id: 'motor.criticalM' },
            ...(drive.filterFarad === undefined
              ? []
              : [{ label: 'Leaks to earth', id: 'drive.leakageA' as const, note: 'over 3.5 mA: fixed, second earth' }]),
          ]}
        />
      </div>
    </section>
  )
}
