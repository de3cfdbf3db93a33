/** Is it another part that does it, which has to be got first, and no work on what is here? What gives “the screws” exchanges them. */
export const isAnother = ({ gives, toGet }: { gives: string; toGet?: boolean }): boolean => toGet === true || gives.startsWith('the ')
