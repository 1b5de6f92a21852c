import { set, setSetting } from '../../plan'
import type { Deduction } from './deduction'
import { remaining, type Answers, type Possibility } from './narrow'

interface Listening extends Possibility {
  source: 'terminals' | 'keypad' | 'serial'
  key: 'terminals' | 'keypad'
}

/** Every way in which a drive may listen, and what each test would show. */
const listenings: readonly Listening[] = (['terminals', 'keypad', 'serial'] as const).flatMap((source) =>
  (['terminals', 'keypad'] as const).map((key): Listening => ({
    id: `${source}/${key}`,
    source,
    key,
    weight: 1,
    allows: {
      switch: [source === 'terminals' && key === 'terminals' ? 'runs' : 'nothing'],
      key: [source === 'keypad' || key === 'keypad' ? 'runs' : 'nothing'],
      // Pressed once it changes sides; a drive without the key is held by none.
      local:
        source === 'terminals' && key === 'keypad' ? ['runs'] : key === 'keypad' ? ['nothing'] : ['nothing', 'no-key'],
    },
  })),
)

/** What it listens to, and whether a key holds it. */
export function listening(answers: Answers): Deduction[] {
  const asked = Object.fromEntries(
    ['switch', 'key', 'local'].flatMap((id) => (answers[id] === undefined ? [] : [[id, answers[id]]])),
  )
  if (Object.keys(asked).length === 0) return []
  const left = remaining(listenings, asked)
  if (left.length === 0)
    return [
      {
        id: 'contradiction',
        says: ['These do not go together on any drive: try them once more, knob a little up, RUN open between.'],
        patch: [],
        known: true,
      },
    ]
  const made: Deduction[] = []
  const sources = new Set(left.map(({ source }) => source))
  const keys = new Set(left.map(({ key }) => key))
  const [source] = sources
  const [key] = keys
  if (sources.size === 1 && source !== undefined)
    made.push({
      id: 'source',
      says: [
        {
          terminals: 'It listens to its terminals.',
          keypad: 'It listens to its keypad.',
          serial: 'It listens to the serial bus, or its enable is open.',
        }[source],
      ],
      patch: [setSetting('inDrive', 'commandSource', source)],
      known: false,
    })
  if (keys.size === 1 && key !== undefined && asked['local'] !== 'no-key')
    made.push({
      id: 'key',
      says: [
        key === 'keypad' ? 'A key holds it at its keypad: that is no setting, press it once.' : 'No key holds it.',
      ],
      patch: [set('settings.keyState', key)],
      known: false,
    })
  if (asked['switch'] === 'nothing' && asked['key'] === 'nothing')
    made.push({
      id: 'neither',
      says: ['Neither starts it: go to "It does nothing on RUN" below.'],
      patch: [],
      known: true,
    })
  return made
}
