/** An address that leads nowhere, or a fault of the page itself. */
export function LostScreen({ error }: { error?: Error }) {
  return (
    <main className="mx-auto flex max-w-[560px] flex-col gap-3 p-8">
      <h1 className="h-stage">{error ? 'The page broke here' : 'There is nothing at this address'}</h1>
      <p>
        {error
          ? 'What you typed is kept in this browser. Load the page again; it goes on where you were.'
          : 'It may have been taken away. Your shops are where they were.'}
      </p>
      {error && <p className="sheet text-[15px] text-ink-2">{error.message}</p>}
      <a className="btn btn-main self-start" href="/">
        To your shops
      </a>
    </main>
  )
}
