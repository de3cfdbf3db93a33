/** Thread that must stay above the nut for it to hold, mm. [practice] */
export const THREAD_KEPT = 0.3
