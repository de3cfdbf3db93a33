/** An id nobody else has: 96 random bits. (`crypto.randomUUID` is not there for a page another device got over the network.) */
export const newId = (): string => [...crypto.getRandomValues(new Uint8Array(12))].map((b) => b.toString(16).padStart(2, '0')).join('')
