import { describe, expect, it } from 'vitest'
import { fullBuild, without } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('string pull on a vibrato’s studs', () => {
  it('cannot be told without its springs, whose lever is no fact until they are chosen', () => {
    const c = checkIn(without(fullBuild(), 'springs'), 'bridge-on-body', 'pull')
    expect([c.raw.verdict, c.says]).toEqual(['cant-tell', 'Not known yet: which springs hold the vibrato.'])
    expect(checkIn(fullBuild(), 'bridge-on-body', 'pull').raw.verdict).toBe('snug')
  })
})
