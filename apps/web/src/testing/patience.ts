import { configure } from '@testing-library/react'

/** What is waited for may take long on a busy machine: a page that is fetched when it is first shown. How long is no matter of a test, ms. */
configure({ asyncUtilTimeout: 60_000 })
