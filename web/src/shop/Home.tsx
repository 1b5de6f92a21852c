import { Navigate } from 'react-router'
import { api, problemText } from '../state/api'
import { useAskAgain } from '../state/useAskAgain'
import { FirstShop } from './FirstShop'

/** The first shop, or the way to it. */
export function Home() {
  const { data, error, refetch } = api.useShopsQuery(undefined)
  useAskAgain(error, refetch)
  if (error)
    return (
      <main className="mx-auto flex max-w-[560px] flex-col gap-3 p-8">
        <h1 className="h-stage">Your shops cannot be fetched</h1>
        <p>{problemText(error)}</p>
        <button type="button" className="btn btn-main self-start" onClick={() => void refetch()}>
          Try again
        </button>
      </main>
    )
  if (!data) return <p className="lead p-8">Opening the shop</p>
  const [first] = data
  return first ? <Navigate to={`/shops/${first.id}`} replace /> : <FirstShop />
}
