/** "position 3"; a circuit without a selector has one setting and no name for it. */
export const positionWords = (id: string): string => (id ? `position ${id}` : 'as it is wired')
