import { format, parseISO } from 'date-fns'

export const day = (iso: string) => format(parseISO(iso), 'EEE d MMM')
