import { Component, type ReactNode } from 'react';

/** Where drawing the page fails: what was answered is saved, and the page can be tried again. */
export class SitBoundary extends Component<{ readonly children: ReactNode }, { readonly failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <main className="mx-auto max-w-[640px] px-[18px] py-16" role="alert">
        <h1 className="text-[22px]">This page stopped working</h1>
        <p className="mt-2 text-[16.5px]">What you answered so far is saved on this device.</p>
        <button
          type="button"
          className="btn btn-outline mt-5 h-11 px-5 text-[15px]"
          onClick={() => this.setState({ failed: false })}
        >
          Try again
        </button>
      </main>
    );
  }
}
