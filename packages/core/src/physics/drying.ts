/** Drying takes about twice as long for every 10 °C colder than 20. [practice] */
export const dryingFactor = (celsius: number): number => 2 ** ((20 - celsius) / 10)
