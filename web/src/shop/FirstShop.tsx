import { Brand } from '../app/Brand'
import { ShopForm } from './ShopForm'

/** What it is for, and the first step. */
export function FirstShop() {
  return (
    <div className="min-h-screen">
      <header className="flex min-h-[56px] items-center border-b border-rule px-4">
        <Brand />
      </header>
      <main className="mx-auto grid max-w-[980px] gap-8 px-5 py-8 md:grid-cols-2">
        <section className="flex flex-col gap-3">
          <h1 className="font-cond text-[38px] leading-[1.05] font-semibold">Variable speed for the machine you have</h1>
          <p className="text-[18px]">Say what machine it is, what is on the nameplates and what is on the wall. You are told what fits, how to link it, what to type into the drive, and what to watch for.</p>
          <p className="lead">It plans and explains; it does not certify. Local codes rule, and where they ask for a licensed electrician, that is who connects it.</p>
        </section>
        <section className="sheet">
          <h2 className="h-part mb-3">First, your shop</h2>
          <ShopForm />
        </section>
      </main>
    </div>
  )
}
