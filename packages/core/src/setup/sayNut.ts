/** What is asked before anything is done to a nut. */
export const SAY_NUT = 'Say under Parts what nut it is: one that clamps its strings is lowered as a whole, any other is filed.'
