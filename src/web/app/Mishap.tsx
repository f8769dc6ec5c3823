/** A view that broke says so and offers the way back; what was saved is untouched. */
import { Component, type ReactNode } from 'react';
import { Button } from '../parts/Button';

export class Mishap extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    return (
      <main className="mx-auto max-w-prose px-4 py-10">
        <h1>This view broke</h1>
        <p className="my-4">
          The mistake is ours. Nothing that was saved is lost; what was being typed here may be.
        </p>
        <Button weight="main" onClick={() => window.location.assign('/due')}>
          Back to what is due
        </Button>
      </main>
    );
  }
}
