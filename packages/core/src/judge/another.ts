/** Is it another part that does it, which has to be got first, and no work on what is here? What gives “the screws” exchanges them. */
export const isAnother = ({ gives }: { gives: string }): boolean => gives.startsWith('the ')
