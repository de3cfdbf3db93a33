import type { Station } from '../document/station'
import { drill } from './drill/drill'
import { finish } from './finish/finish'
import { fit } from './fit/fit'
import { log } from './log/log'
import { parts } from './parts/parts'
import { plan } from './plan/plan'
import { setup } from './setup/setup'
import { wire } from './wire/wire'

/** What each station gives, in the order of the work: a station sees the steps of those above it. */
export const CONTRIBUTIONS = { parts, fit, drill, finish, wire, setup, plan, log } satisfies Record<Station, unknown>

/** Each station's result. */
export type Results = { [S in Station]: ReturnType<(typeof CONTRIBUTIONS)[S]['result']> }
