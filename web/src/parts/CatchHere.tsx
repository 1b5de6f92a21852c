import { Component, type ReactNode } from 'react'

/** Shows a word and a way on in place of what could not be shown, and leaves the rest of the page as it is. */
export class CatchHere extends Component<
  { children: ReactNode; onAgain: () => Promise<unknown> },
  { error: Error | undefined }
> {
  override state: { error: Error | undefined } = { error: undefined }

  static getDerivedStateFromError(error: unknown): { error: Error } {
    return { error: error instanceof Error ? error : new Error(String(error)) }
  }

  override render(): ReactNode {
    if (!this.state.error) return this.props.children
    const again = () => void this.props.onAgain().then(() => this.setState({ error: undefined }))
    return (
      <div role="alert" className="sheet mt-3">
        <p className="font-medium text-oxide">This cannot be shown now: {this.state.error.message}</p>
        <p className="text-[15px]">What you typed is kept. The rest of the page goes on.</p>
        <button type="button" className="btn mt-2" onClick={again}>
          Try again
        </button>
      </div>
    )
  }
}
