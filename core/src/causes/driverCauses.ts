import { moreAmps, heavyWork, otherGears, beltSlips } from './commonCauses'
import { numberOf } from '../facts/figure'
import type { SymptomId } from '../log/symptoms'
import { amps, message, rpm, volts } from '../quantities'
import { against, cause, type Causes } from './causes'

/** Of a motor with magnets and its driver: leads, sensors, limit and bus. */
export const driverCauses = {
  'runs-away': () => [
    cause(
      'reference',
      0.5,
      'The zero end of its speed signal is open',
      'Dead: ohms from wiper to zero, as it is turned.',
      'Land it; a lost signal must stop it.',
    ),
    cause(
      'sensors',
      0.5,
      'Its driver misreads the sensors and pushes ahead of the rotor',
      'In the order found, does it draw few amps both ways?',
      'Leads in the order that Wiring found well; sensors shielded.',
    ),
    cause(
      'knob',
      0.25,
      'A trim on the driver was turned to its end',
      'Look, dead, against the picture.',
      'As the card has it.',
    ),
  ],
  jerks: ({ plan }) => {
    const { chosenOrder, pairings } = plan.driver
    const isWell = chosenOrder !== undefined && pairings?.[chosenOrder] === 'well'
    return [
      cause(
        'order',
        isWell ? 0.25 : 0.8,
        'Its leads and sensors are not in one order',
        'Wiring, the six orders: bare motor, least speed, limit turned down.',
        'One of the two that run evenly on few amps.',
        isWell ? undefined : message`No order in use was found to run well.`,
      ),
      cause(
        'sensor',
        0.5,
        'One sensor is dead, or its lead broken',
        'Turn by hand, low volts on: does each of the three go high and low?',
        'The lead, the plug; or the sensor.',
      ),
      cause(
        'phase',
        0.45,
        'One motor lead is open',
        'Off, waited: ohms between each two leads alike?',
        'Land it again, tug.',
      ),
      cause('tight', 0.25, 'Something holds the shaft', 'By hand, off.', 'Free it.'),
    ]
  },
  'no-pull': ({ plan, facts, plateA }) => {
    const knee = facts.driver && numberOf(facts.driver.kneeRpm)
    return [
      cause(
        'limit',
        against(plateA, plan.driver.limitA),
        'Its limit of amps stands under the motor’s',
        'Amps of its supply as it stalls in the cut.',
        'The switches of the limit, as Wiring draws them.',
        plan.driver.limitA === undefined || plateA === undefined
          ? undefined
          : message`It stands at ${amps(plan.driver.limitA)}; the motor has ${amps(plateA)}.`,
      ),
      cause(
        'knee',
        0.4,
        'It works beyond its knee, where volts run out',
        'Does it pull a little slower?',
        'A slower position, or more volts.',
        knee === undefined ? undefined : message`Its knee is at ${rpm(knee)}.`,
      ),
      cause(
        'order',
        plan.driver.chosenOrder === undefined ? 0.5 : 0.2,
        'Leads and sensors in an order that only half fits',
        'Amps without a load: few?',
        'The order that runs evenly both ways.',
      ),
      cause(
        'supply',
        0.35,
        'Its supply sags',
        'Volts before the driver in the cut.',
        'Thicker leads, a larger supply.',
      ),
    ]
  },
  hot: (numbers) => [
    cause(
      'stall',
      0.5,
      'It is held at standstill or creep, full amps in one winding',
      'How slow does the work run?',
      'A slower position; less limit.',
    ),
    cause(
      'order',
      0.45,
      'Leads and sensors in an order that only half fits',
      'Amps without a load, both ways alike?',
      'One of the two good orders.',
    ),
    moreAmps(numbers),
  ],
  'too-slow': ({ facts }) => {
    const [reach, low] = [
      facts.driver && numberOf(facts.driver.reachesRpm),
      facts.driver && numberOf(facts.driver.lowV),
    ]
    return [
      cause(
        'volts',
        0.5,
        'Its bus has not the volts for more',
        'Volts before the driver, running.',
        'More volts, as far as driver and motor bear.',
        reach === undefined || low === undefined ? undefined : message`At ${volts(low)} it ends at ${rpm(reach)}.`,
      ),
      cause(
        'reference',
        0.5,
        'Its speed signal does not reach its end',
        'Volts of the signal with the knob at its end.',
        'The span that its manual names: 5 or 10 V.',
      ),
      beltSlips,
    ]
  },
  slows: ({ plateA, worstAmps, overPlate }) => [
    cause(
      'joint',
      0.5,
      'A loose joint in speed signal or enable',
      'Move each lead, from outside the guard.',
      'Dead: land it again, tug.',
    ),
    cause(
      'limit',
      against(worstAmps, plateA),
      'It stands at its limit of amps',
      'Amps while it slows.',
      'Less cut.',
      overPlate,
    ),
    cause('heat', 0.35, 'The driver is hot and gives less', 'Its heat sink, by hand near it.', 'Air.'),
  ],
  wobbles: () => [
    cause(
      'sensors',
      0.45,
      'Sensor leads pick up the motor’s',
      'Lift them away: calmer?',
      'Shielded, apart, earthed at the driver.',
    ),
    cause(
      'signal',
      0.4,
      'Its speed signal is noisy',
      'A battery of fixed volts in its place.',
      'Shielded; PWM smoothed.',
    ),
    cause('gain', 0.3, 'Its own control hunts', 'At light load only?', 'Its gain trim, a little less.'),
  ],
  whistle: () => [
    cause(
      'chopping',
      0.5,
      'Its driver chops where ears are',
      'Does it sing at standstill, enabled?',
      'Its switch for it, where it has one; a choke.',
    ),
    cause(
      'teeth',
      0.45,
      'A toothed belt sings with its teeth',
      'With the belt off: gone?',
      'A wider pulley is louder: less speed, right tension, a cover.',
    ),
  ],
  shakes: () => [
    cause(
      'order',
      0.45,
      'Leads and sensors in an order that only half fits',
      'Bare: even, few amps?',
      'One of the two good orders.',
    ),
    cause('balance', 0.35, 'Pulley, chuck or work out of balance', 'Without the chuck: gone?', 'Balance it.'),
    cause('belt', 0.3, 'A small toothed belt is slack or jumps', 'Its hum, against the Mount sheet.', 'Tension.'),
  ],
  'over-current': ({ plan, up, quickest, rampNumbers }) => [
    cause(
      'order',
      plan.driver.chosenOrder === undefined ? 0.7 : 0.3,
      'Leads and sensors in a wrong order',
      'Wiring, the six orders.',
      'One of the two good ones.',
    ),
    cause(
      'ramp',
      against(quickest, up),
      'Its grade of acceleration is too steep',
      'A softer grade.',
      'As the card has it.',
      rampNumbers(up, quickest, 'rated torque brings it up in'),
    ),
    cause(
      'short',
      0.35,
      'A motor lead touches another or the frame',
      'Driver taken off: ohms to the frame.',
      'The pinched lead.',
    ),
  ],
  overload: (numbers) => [
    heavyWork(numbers),
    cause('creep', 0.4, 'Long at creep or stall', 'How slow did it run?', 'A slower position.'),
    cause('air', 0.3, 'Driver or motor without air', 'Dust, a shut box.', 'Air; a filter.'),
  ],
  'over-voltage': ({ plan, facts }) => {
    const high = facts.driver && numberOf(facts.driver.highV)
    return [
      cause(
        'pump',
        plan.driver.bleeds === true ? 0.3 : 0.7,
        'A stop pumps its bus up',
        'A softer grade: gone?',
        'A softer grade, a resistor, or coast.',
        plan.driver.bleeds === true ? undefined : message`Nothing told takes up what a stop pumps back.`,
      ),
      cause(
        'supply',
        against(high, plan.driver.mostV),
        'Its supply stands high at light load',
        'Volts before the driver, standing, at night.',
        'Another tapping.',
        high === undefined || plan.driver.mostV === undefined
          ? undefined
          : message`It comes to ${volts(high)}; the driver bears ${volts(plan.driver.mostV)}.`,
      ),
    ]
  },
  'nothing-on-run': ({ plan }) => [
    cause(
      'enable',
      plan.driver.enable === undefined ? 0.6 : 0.4,
      'Its enable stands the other way',
      'Lift its wire, then bridge it: which lets it run?',
      'As Wiring found it.',
    ),
    cause('alarm', 0.5, 'It alarms', 'Count its lamp’s blinks.', 'Its manual’s list.'),
    cause(
      'reference',
      0.45,
      'No speed signal',
      'Volts at its input as the knob turns.',
      'Its wires; the switch between knob and signal.',
    ),
    cause(
      'sensors',
      0.4,
      'Its sensors are not joined or not fed',
      'Volts of their supply.',
      'The plug; 5 or 15 V as they want.',
    ),
  ],
  'wrong-way': ({ plan }) => [
    cause('direction', 0.6, 'Its direction input stands the other way', 'Bridge or open it, standing.', 'The switch.'),
    cause(
      'order',
      plan.driver.chosenOrder === undefined ? 0.5 : 0.4,
      'The other of the two good orders is joined',
      'Wiring: which two ran well?',
      'The other one. Never two leads alone: sensors go with them.',
    ),
    otherGears,
  ],
} satisfies Partial<Causes<SymptomId>>
