import { Brand } from '../parts/Brand'
import { ShopForm } from './ShopForm'

const asked = [
  { link: 'Wall', says: 'Volts and breaker, or “two hot legs”' },
  { link: 'Drive', says: 'The amps on its plate, or none yet' },
  { link: 'Motor', says: 'The nameplate, line by line' },
  { link: 'Belts', says: 'Two pulley diameters' },
  { link: 'Spindle', says: 'Slowest and fastest job you want' },
]

/** What it is for, and the first step. */
export function FirstShop() {
  return (
    <div className="min-h-screen">
      <header className="flex min-h-[56px] items-center border-b border-rule px-4">
        <Brand />
      </header>
      <main className="mx-auto grid max-w-[980px] gap-8 px-5 py-8 md:grid-cols-2">
        <section className="flex flex-col gap-3">
          <h1 className="font-cond text-[38px] leading-[1.05] font-semibold">
            Variable speed for the machine you have
          </h1>
          <p className="text-[18px]">
            Say what machine it is, what is on the nameplates and what is on the wall. You are told what fits, how to
            link it, what to type into the drive, and what to watch for.
          </p>
          <p className="lead">
            It plans and explains; it does not certify. Local codes rule, and where they ask for a licensed electrician,
            that is who connects it.
          </p>
        </section>
        <section className="sheet">
          <h2 className="h-part mb-3">First, your shop</h2>
          <ShopForm />
        </section>
        <section aria-label="What you will see" className="md:col-span-2">
          <h2 className="h-part mb-2">Then five short answers, and the chain from wall to spindle answers back</h2>
          <ol className="grid gap-2.5 sm:grid-cols-5">
            {asked.map(({ link, says }) => (
              <li key={link} className="rounded-lg border border-dashed border-edge bg-card px-3 py-2">
                <span className="label block">{link}</span>
                <span className="block leading-snug">{says}</span>
              </li>
            ))}
          </ol>
        </section>
      </main>
    </div>
  )
}
