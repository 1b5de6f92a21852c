import type { DeviceRights } from '@zesty/core/http'
import { api } from './api'
import { isAtComputer } from './atComputer'

/** What this device may do, once the server has said so. */
export function useRights(): DeviceRights | undefined {
  const atComputer = isAtComputer()
  const { data } = api.useWhoQuery(undefined, { skip: atComputer })
  return atComputer ? 'all' : data?.rights
}
