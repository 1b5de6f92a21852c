import type { ReactNode } from 'react'
import { QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'
import { PlateFrame, PlateLine } from './PlateFrame'

/** The plate of a DC motor: its armature, its field, and how fast it goes by either. */
export function DcPlate() {
  return (
    <PlateFrame>
      <Power />
      <PlateLine label="armature">
        <Pair>
          <QuantityField bare path="motor.lowVoltageV" label="Armature volts" placeholder="180 V" />
          <QuantityField bare path="motor.lowVoltageA" label="Armature amps" placeholder="10.5 A" />
        </Pair>
      </PlateLine>
      <PlateLine label="field">
        <Pair>
          <QuantityField bare path="motor.fieldVoltageV" label="Field volts" placeholder="200 V" />
          <QuantityField bare path="motor.fieldCurrentA" label="Field amps" placeholder="0.6 A" />
        </Pair>
      </PlateLine>
      <PlateLine label="base speed">
        <QuantityField bare path="motor.ratedSpeedRpm" label="Base speed" placeholder="1150 rpm" />
      </PlateLine>
      <PlateLine label="by field to">
        <QuantityField bare path="motor.maximumRpm" label="Highest speed on the plate" placeholder="2300 rpm" />
      </PlateLine>
      <Body />
    </PlateFrame>
  )
}

/** The plate of a motor with magnets, and what its data sheet says beside it. */
export function MagnetPlate() {
  return (
    <PlateFrame>
      <Power />
      <PlateLine label="volts">
        <QuantityField bare path="motor.lowVoltageV" label="Volts" placeholder="48 V" />
      </PlateLine>
      <PlateLine label="amps">
        <Pair>
          <QuantityField bare path="motor.lowVoltageA" label="Amps" placeholder="10.5 A" />
          <QuantityField bare path="motor.peakA" label="Amps for moments" placeholder="30 A at most" />
        </Pair>
      </PlateLine>
      <PlateLine label="speed">
        <Pair>
          <QuantityField bare path="motor.ratedSpeedRpm" label="Speed" placeholder="3000 rpm" />
          <QuantityField bare path="motor.maximumRpm" label="Highest speed on the plate" placeholder="no more" />
        </Pair>
      </PlateLine>
      <PlateLine label="poles">
        <QuantityField bare path="motor.platePoles" label="Poles on the plate" placeholder="8: twice its pole pairs" />
      </PlateLine>
      <PlateLine label="rpm a volt">
        <QuantityField bare path="motor.rpmPerVolt" label="Rpm for each volt" placeholder="75" />
      </PlateLine>
      <PlateLine label="winding">
        <QuantityField bare path="motor.windingOhm" label="Between two leads" placeholder="0.22 Ω" />
      </PlateLine>
      <Body />
    </PlateFrame>
  )
}

const Power = () => (
  <PlateLine label="power">
    <QuantityField bare path="motor.powerW" label="Power" placeholder="1.5 kW or 2 hp" />
  </PlateLine>
)

const Body = () => (
  <>
    <PlateLine label="frame">
      <WordsField bare path="motor.frame" label="Frame" placeholder="90L or 56C" longest={20} />
    </PlateLine>
    <PlateLine label="enclosure">
      <WordsField bare path="motor.enclosure" label="Enclosure" placeholder="IP54" longest={20} />
    </PlateLine>
  </>
)

const Pair = ({ children }: { children: ReactNode }) => <div className="grid grid-cols-2 gap-2">{children}</div>
