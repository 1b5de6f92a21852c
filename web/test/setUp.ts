import { configure } from '@testing-library/react'

// Two workers share two cores; what comes late is not missing.
configure({ asyncUtilTimeout: 20_000 })
