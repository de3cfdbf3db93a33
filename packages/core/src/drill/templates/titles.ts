import type { Template, TemplateId } from './template'

export type Made = Pick<Template, 'title' | 'seen' | 'notes' | 'shapes'> & { legend?: string[] }

export const TITLES: Record<TemplateId, string> = {
  'body-front': 'Body, front',
  'body-back': 'Body, back',
  'head-front': 'Headstock, front',
  'head-back': 'Headstock, back',
  practice: 'Practice piece for the tuners',
  guard: 'Pickguard',
  'control-plate': 'Control plate',
  ferrules: 'Row of ferrules',
  'route-neck': 'Router template, neck pickup',
  'route-middle': 'Router template, middle pickup',
  'route-bridge': 'Router template, bridge pickup',
  'route-control': 'Router template, control route',
  shim: 'Shim for the pocket',
  cover: 'Cover for the control cavity',
}
