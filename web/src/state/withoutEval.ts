import { z } from 'zod'

/** The page's policy forbids code made from text; so Zod does not try, which the browser would log as a breach. */
z.config({ jitless: true })
