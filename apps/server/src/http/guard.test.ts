import type { Request, Response } from 'express'
import { expect, it, vi } from 'vitest'
import { roomToWrite } from './guard'

const asked = (method: string, bytes?: number) => {
  const wantRoom = vi.fn()
  const next = vi.fn()
  const headers = bytes === undefined ? {} : { 'content-length': String(bytes) }
  void roomToWrite(wantRoom)({ method, headers } as unknown as Request, {} as Response, next)
  expect(next).toHaveBeenCalledOnce()
  return wantRoom.mock.calls
}

it('a build with its pictures wants room for itself twice over; an ordinary request what is kept for all; reading none', () => {
  expect(asked('POST', 40_000_000)).toEqual([[80_000_000]])
  expect(asked('POST', 2000)).toEqual([[0]])
  expect(asked('DELETE')).toEqual([[0]])
  expect(asked('GET')).toEqual([])
})
