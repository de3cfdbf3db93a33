import * as React from 'react'

// In development React takes a stack for each element made, to say in a warning who made it: a tenth of the time of these tests.
// The warnings themselves stay.
const inside = (React as unknown as Record<string, object>)['__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE']
if (inside)
  Object.defineProperty(inside, 'recentlyCreatedOwnerStacks', {
    // As many as it takes in a second at most.
    get: () => 10_000,
    set: () => undefined,
  })
