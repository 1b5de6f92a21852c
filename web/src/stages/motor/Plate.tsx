import type { ReactNode } from 'react'
import { PairField, QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'

/** A stamped plate with four rivets; every line of it can be typed. */
export function Plate() {
  return (
    <section id="plate" tabIndex={-1} aria-label="Nameplate" className="plate relative px-5 py-4">
      {['top-2 left-2', 'top-2 right-2', 'bottom-2 left-2', 'bottom-2 right-2'].map((corner) => (
        <span
          key={corner}
          aria-hidden="true"
          className={`absolute size-2.5 rounded-full bg-[#7f868d] shadow-[inset_0_1px_1px_#fff8] ${corner}`}
        />
      ))}
      <Line label="power">
        <QuantityField bare path="motor.powerW" label="Power" placeholder="1.5 kW or 2 hp" />
      </Line>
      <Line label="volts">
        <PairField bare low="motor.lowVoltageV" high="motor.highVoltageV" label="Volts" placeholder="230/400 V" />
      </Line>
      <Line label="amps">
        <PairField bare low="motor.lowVoltageA" high="motor.highVoltageA" label="Amps" placeholder="6.0/3.5 A" />
      </Line>
      <Line label="hertz">
        <QuantityField bare path="motor.ratedFrequencyHz" label="Hertz" placeholder="50 Hz" />
      </Line>
      <Line label="speed">
        <QuantityField bare path="motor.ratedSpeedRpm" label="Speed" placeholder="1420 rpm" />
      </Line>
      <Line label="frame">
        <WordsField bare path="motor.frame" label="Frame" placeholder="90L or 56C" longest={20} />
      </Line>
      <div className="grid gap-x-5 @narrow:grid-cols-2">
        <Line label="cos phi">
          <QuantityField bare path="motor.powerFactor" label="cos phi" placeholder="0.80" />
        </Line>
        <Line label="efficiency">
          <QuantityField bare path="motor.efficiency" label="Efficiency" placeholder="79 %" />
        </Line>
        <Line label="service">
          <QuantityField bare path="motor.serviceFactor" label="Service factor" placeholder="1.15" />
        </Line>
        <Line label="Ma/Mn">
          <QuantityField bare path="motor.breakdownRatio" label="Pull-out over rated torque" placeholder="2.5" />
        </Line>
        <Line label="enclosure">
          <WordsField bare path="motor.enclosure" label="Enclosure" placeholder="IP55" longest={20} />
        </Line>
        <Line label="poles">
          <QuantityField bare path="motor.platePoles" label="Poles on the plate" placeholder="none" />
        </Line>
        <Line label="CT range">
          <QuantityField bare path="motor.inverterDutyRatio" label="Constant-torque range, to one" placeholder="none" />
        </Line>
      </div>
      <Line label="max speed">
        <QuantityField bare path="motor.maximumRpm" label="Highest speed on the plate" placeholder="none" />
      </Line>
    </section>
  )
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[80px_minmax(0,1fr)] items-center gap-2">
      <span className="label" aria-hidden="true">
        {label}
      </span>
      {children}
    </div>
  )
}
