import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { set } from '@zesty/core'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { RegisterSheet } from '../src/stages/settings/RegisterSheet'
import { keeps, lathe, open, server, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

const serial = [set('controls.runBy', 'cnc'), set('controls.reference', 'serial')] as const
const shown = () => screen.getByRole('region', { name: 'Registers on the bus' }).textContent.replace(/\s/g, ' ')

test('registers that are typed are kept in the drive’s manual, and told from there', () => {
  show(<RegisterSheet />, lathe(...serial, set('commanded.registerScale', 'hertz-100')))
  expect(shown()).not.toMatch(/By the manual of/)
  type('Register of the speed', '310')
  fireEvent.click(screen.getByRole('button', { name: 'Keep them in the drive’s manual' }))
  expect(open().plan.manual?.registers).toEqual({ speed: '310', scale: 'hertz-100' })
  expect(shown()).toMatch(/By the manual of .*: speed 310, RUN and STOP not told, state not told, hertz times 100\./)
  // What the manual has already is not offered again.
  expect(screen.queryByRole('button', { name: /Keep them/ })).toBeNull()
})

test('a machine that no bus commands has no such sheet', () => {
  show(<RegisterSheet />, lathe())
  expect(screen.queryByRole('region')).toBeNull()
})
