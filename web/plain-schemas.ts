import { config } from 'zod/v4/core'

// Pages may not make code of text (Content-Security-Policy): schemas are read as they are. First of all imports, so that no
// schema is made before.
config({ jitless: true })
