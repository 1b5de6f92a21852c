import { Component, type ReactNode } from 'react'
import { LostScreen } from '../parts/LostScreen'

/** Shows a page instead of nothing where a fault of the program reaches the top; React has no hook for this. */
export class Catch extends Component<{ children: ReactNode }, { error: Error | undefined }> {
  override state: { error: Error | undefined } = { error: undefined }

  static getDerivedStateFromError(error: unknown): { error: Error } {
    return { error: error instanceof Error ? error : new Error(String(error)) }
  }

  override render(): ReactNode {
    return this.state.error ? <LostScreen error={this.state.error} /> : this.props.children
  }
}
