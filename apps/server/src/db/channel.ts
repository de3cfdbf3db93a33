/** What news goes through inside the database. */
export const CHANNEL = 'news'
