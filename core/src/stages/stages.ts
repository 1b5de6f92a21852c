/** One step on the way to a first verdict: the few fields without which nothing can be said. */
interface FirstStepRow {
  label: string
  text: string
  paths: readonly string[]
}

interface StageRow {
  /** As it stands on the route card. */
  name: string
  /** What it is for, in a sentence. */
  purpose: string
  /** Plan fields that it cannot do without, its own or another stage's, in the order people come to them. */
  essentials: readonly string[]
  /** Fields that nobody is asked for, and without which it stays open all the same. */
  opens: readonly string[]
  /** Its part of the five-minute path. */
  firstSteps: readonly FirstStepRow[]
}

/**
 * The stages of the work in the order people go through them: the one place that says which there are. The fields of a
 * stage say so themselves, in the plan's schema; its screen lies in the page's folder of the same name.
 */
export const stages = {
  survey: {
    name: 'Survey',
    purpose: 'The machine as it stands. What you leave out stays unknown; nothing is guessed.',
    essentials: [
      'survey.machineKind',
      'supply.voltageV',
      'supply.phases',
      'supply.frequencyHz',
      'supply.breakerA',
      'supply.isolatorInReach',
      'survey.spindleNose',
      'survey.positions',
      'survey.jobs',
      'survey.holders',
    ],
    opens: [],
    firstSteps: [
      { label: 'Machine', text: 'Say what machine it is', paths: ['survey.machineKind'] },
      {
        label: 'Wall',
        text: 'Type what the wall gives',
        paths: ['supply.voltageV', 'supply.phases', 'supply.frequencyHz', 'supply.breakerA'],
      },
      { label: 'Belts', text: 'Type the pulleys of one belt position', paths: ['survey.positions'] },
    ],
  },
  route: {
    name: 'Route',
    purpose: 'The ways to go, in this shop’s numbers. Choose one; it can be changed at any time.',
    essentials: ['route.chosen'],
    opens: [],
    firstSteps: [],
  },
  motor: {
    name: 'Motor',
    purpose: 'Type the plate as it is stamped; the rest follows from it.',
    essentials: [
      'motor.kind',
      'motor.powerW',
      'motor.lowVoltageV',
      'motor.lowVoltageA',
      'motor.ratedFrequencyHz',
      'motor.ratedSpeedRpm',
      'motor.fieldKind',
      'motor.platePoles',
      'motor.frame',
      'motor.cooling',
      'motor.leads',
      'motor.connection',
    ],
    opens: [],
    firstSteps: [
      {
        label: 'Motor',
        text: 'Type the motor’s plate',
        paths: [
          'motor.kind',
          'motor.powerW',
          'motor.lowVoltageV',
          'motor.lowVoltageA',
          'motor.ratedSpeedRpm',
          'motor.ratedFrequencyHz',
          'motor.connection',
        ],
      },
    ],
  },
  drive: {
    name: 'Drive',
    purpose: 'Its plate, and how it stands between this wall and this motor.',
    essentials: [
      'drive.kind',
      'drive.input',
      'drive.inputVoltageV',
      'drive.ratedOutputA',
      'drive.ratedInputA',
      'drive.control',
      'dcDrive.rectifier',
      'dcDrive.fieldControl',
      'dcDrive.fieldLossTrip',
      'driver.supply',
      'driver.limitA',
    ],
    opens: [],
    firstSteps: [
      {
        label: 'Drive',
        text: 'Type the drive’s plate',
        paths: ['drive.input', 'drive.inputVoltageV', 'drive.ratedOutputA'],
      },
    ],
  },
  speeds: {
    name: 'Speeds',
    purpose: 'What the spindle can do on each belt position, and the work you want from it.',
    essentials: ['survey.positions', 'survey.jobs', 'survey.mainPositionId'],
    opens: [],
    firstSteps: [],
  },
  wiring: {
    name: 'Wiring',
    purpose:
      'How it is run and stopped; then every wire of this machine, drawn, listed, checked, and built step by step.',
    essentials: [
      'controls.runBy',
      'controls.stopBy',
      'controls.emergencyStop',
      'controls.reference',
      'drive.lineStartLockout',
    ],
    opens: [],
    firstSteps: [],
  },
  settings: {
    name: 'Settings',
    purpose: 'What to type into this drive, in the order that it takes, and proof that it took it.',
    essentials: ['settings.state'],
    opens: [],
    firstSteps: [],
  },
  'run-in': {
    name: 'Run-in',
    purpose: 'Motor and machine brought together, and proved step by step, each reading against its expected value.',
    essentials: [],
    opens: ['runIn.state'],
    firstSteps: [],
  },
  dial: {
    name: 'Dial',
    purpose: 'The knob’s marks read against the spindle, and a plate that says what the knob gives.',
    essentials: [],
    opens: ['dial.plate'],
    firstSteps: [],
  },
  log: {
    name: 'Log',
    purpose: 'What happened, what it cost, what is due; and what a symptom may come from.',
    essentials: [],
    opens: ['runIn.state'],
    firstSteps: [],
  },
} as const satisfies Record<string, StageRow>

export type StageId = keyof typeof stages

/** In the order of the work. */
export const stageIds = Object.keys(stages) as StageId[]

/** Where a stage comes in the order of the work. */
export const stageOrder = (id: StageId): number => stageIds.indexOf(id)
