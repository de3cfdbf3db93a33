import { writtenAt } from '@snug/core'

const written = (d: Date): string => writtenAt(d.getTime(), -d.getTimezoneOffset())

/** This moment, in the one form in which moments are written: its first ten letters are the day where the person is. */
export const now = (): string => written(new Date())

/** A moment another clock wrote, in that form. */
export const here = (iso: string): string => written(new Date(iso))
