import { dayIn } from '../../../core/day.ts'
import type { Store } from '../../database/store.ts'
import { readSettings } from './settings.ts'

/** The day it is at the shop, at a moment or now. */
export const shopDay = async (store: Store, at: Date = new Date()): Promise<string> =>
  dayIn((await readSettings(store)).timeZone, at)
