import { describe, expect, test } from '@jest/globals'
import {
  listedInto,
  meaningsOf,
  readSettingsTable,
  settingsCsv,
  settingsOfLines,
  settingsOfTable,
} from '../src/card/readSettingsList'
import { emptyManual } from '../src/manual'
import { shippedManual } from './shippedManuals'

const heron = shippedManual('heron-wall-box')
const avocet = shippedManual('avocet-three-phase')

describe('a list of settings from a file', () => {
  test.each([
    ['Parameter,Description,Value,Default\nh12,"Highest, hertz",60.0,50.0', ['code', 'words', 'value', 'default']],
    ['No.;Name;Setting;Min;Max\n12;Top;60,0;20;400', ['code', 'words', 'value', 'least', 'most']],
    ['Code\tWert\nh12\t60', ['code', 'value']],
    ['h12,60.0,Highest hertz\nh13,5.0,Seconds up\nh14,9.0,Seconds down', ['code', 'value', 'words']],
    [
      'Address;Parameter name;Factory setting;Current value\n2/1;Motor volts;400;230',
      ['code', 'words', 'default', 'value'],
    ],
  ])('its columns are found: %j', (text, columns) => expect(readSettingsTable(text)?.columns).toEqual(columns))

  test('what is no table is none', () => {
    expect(readSettingsTable('h12 60 highest\nh13 5 up')).toBeUndefined()
    expect(readSettingsTable('')).toBeUndefined()
  })

  test('each line says what it comes to before anything is taken', () => {
    const table = readSettingsTable('Code,Value\nH12,"60,0 Hz"\n h 30 ,1\nh30b,2\nh35,banana')
    const listed = settingsOfTable(table ?? { headings: [], rows: [], columns: [] })
    expect(meaningsOf(heron, listed, {}).map((m) => [m.code, m.settings[0], m.understood])).toEqual([
      ['h12', 'maximumHz', true],
      ['h30', 'commandSource', true],
      [undefined, undefined, false],
      ['h35', 'restart', false],
    ])
  })

  test('codes that the manual had not come into it, with their ends and defaults', () => {
    const listed = [
      { code: 'P-03', words: 'Accel time', default: '5.0', least: '0.0', most: '600.0' },
      { code: 'P-04', words: 'Something else' },
    ]
    expect(listedInto(emptyManual('x'), listed).codes).toEqual([
      { code: 'P-03', words: 'Accel time', sets: 'accelerationS', comesWith: '5.0', least: 0, most: 600, values: [] },
      { code: 'P-04', words: 'Something else', values: [] },
    ])
    expect(listedInto(heron, [{ code: 'h12', most: '90' }]).codes).toEqual(heron.codes)
  })
})

describe('a page of jottings', () => {
  test('as people write them on the back of a box', () => {
    const { settings, rest } = settingsOfLines(
      [
        '• h12 = 60',
        'H13: 5,0 s',
        'h 30 1 terminals',
        '- h35 0, waits',
        'P2-01 75 max hz',
        'chuck guard wants a screw',
      ].join('\n'),
      heron,
    )
    expect(settings.map(({ code, value }) => [code, value])).toEqual([
      ['h12', '60'],
      ['h13', '5,0'],
      ['h30', '1'],
      ['h35', '0'],
      ['P2-01', '75'],
    ])
    expect(rest).toEqual(['chuck guard wants a screw'])
  })
  test('with codes of two words, and groups written otherwise', () => {
    const { settings } = settingsOfLines('set 2/1 230\n2.3 50.0\nSET 3-2 = 90', avocet)
    expect(settings.map(({ code, value }) => [code, value])).toEqual([
      ['set 2/1', '230'],
      ['set 2/3', '50.0'],
      ['set 3/2', '90'],
    ])
  })
})

test('the table that goes out comes in again', () => {
  const csv = settingsCsv([{ code: 'h12', words: '=Top, hertz', value: '60.0', held: '50.0', found: '' }])
  const table = readSettingsTable(csv)
  expect(table?.columns).toEqual(['code', 'words', 'ignored', 'ignored', 'value'])
  expect(settingsOfTable(table ?? { headings: [], rows: [], columns: [] })).toMatchObject([
    { code: 'h12', value: '50.0' },
  ])
})
