import { format, parseISO } from 'date-fns'

/** Days and moments in the one form the whole application has. */
export const day = (iso: string): string => format(parseISO(iso), 'EEE d MMM')
export const shortDay = (iso: string): string => format(parseISO(iso), 'd MMM')
export const moment = (iso: string): string => format(parseISO(iso), 'EEE d MMM, HH:mm')
export const timeOfDay = (iso: string): string => format(parseISO(iso), 'HH:mm')
