/** Gives an object a property that is worked out when it is first looked at, and from then on is a plain value. */
export function lazily<T extends object, K extends keyof T>(object: T, key: K, work: () => T[K]): void {
  Object.defineProperty(object, key, {
    enumerable: true,
    configurable: true,
    get() {
      const value = work()
      Object.defineProperty(object, key, { value, enumerable: true, configurable: true, writable: true })
      return value
    },
  })
}
