import { PairField, QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'
import { PlateFrame, PlateLine } from './PlateFrame'

/** A stamped plate with four rivets; every line of it can be typed. */
export function Plate() {
  return (
    <PlateFrame>
      <PlateLine label="power">
        <QuantityField bare path="motor.powerW" label="Power" placeholder="1.5 kW or 2 hp" />
      </PlateLine>
      <PlateLine label="volts">
        <PairField bare low="motor.lowVoltageV" high="motor.highVoltageV" label="Volts" placeholder="230/400 V" />
      </PlateLine>
      <PlateLine label="amps">
        <PairField bare low="motor.lowVoltageA" high="motor.highVoltageA" label="Amps" placeholder="6.0/3.5 A" />
      </PlateLine>
      <PlateLine label="hertz">
        <QuantityField bare path="motor.ratedFrequencyHz" label="Hertz" placeholder="50 Hz" />
      </PlateLine>
      <PlateLine label="speed">
        <QuantityField bare path="motor.ratedSpeedRpm" label="Speed" placeholder="1420 rpm" />
      </PlateLine>
      <PlateLine label="frame">
        <WordsField bare path="motor.frame" label="Frame" placeholder="90L or 56C" longest={20} />
      </PlateLine>
      <div className="grid gap-x-5 @narrow:grid-cols-2">
        <PlateLine label="cos phi">
          <QuantityField bare path="motor.powerFactor" label="cos phi" placeholder="0.80" />
        </PlateLine>
        <PlateLine label="efficiency">
          <QuantityField bare path="motor.efficiency" label="Efficiency" placeholder="79 %" />
        </PlateLine>
        <PlateLine label="service">
          <QuantityField bare path="motor.serviceFactor" label="Service factor" placeholder="1.15" />
        </PlateLine>
        <PlateLine label="Ma/Mn">
          <QuantityField bare path="motor.breakdownRatio" label="Pull-out over rated torque" placeholder="2.5" />
        </PlateLine>
        <PlateLine label="enclosure">
          <WordsField bare path="motor.enclosure" label="Enclosure" placeholder="IP55" longest={20} />
        </PlateLine>
        <PlateLine label="poles">
          <QuantityField bare path="motor.platePoles" label="Poles on the plate" placeholder="none" />
        </PlateLine>
        <PlateLine label="CT range">
          <QuantityField bare path="motor.inverterDutyRatio" label="Constant-torque range, to one" placeholder="none" />
        </PlateLine>
      </div>
      <PlateLine label="max speed">
        <QuantityField bare path="motor.maximumRpm" label="Highest speed on the plate" placeholder="none" />
      </PlateLine>
    </PlateFrame>
  )
}
