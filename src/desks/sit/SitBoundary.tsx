import { Component, type ReactNode } from 'react';
import { ToldIn } from '@/ui/told/useTold';

/** Where drawing the page fails: what was answered is saved, and the page can be tried again. */
export class SitBoundary extends Component<{ readonly children: ReactNode }, { readonly failed: boolean }> {
  static override contextType = ToldIn;
  declare context: React.ContextType<typeof ToldIn>;
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    const { page, again } = this.context.told;
    return (
      <main className="mx-auto max-w-[640px] px-[18px] py-16" role="alert">
        <h1 className="text-[22px]">{page.stopped}</h1>
        <p className="mt-2 text-[16.5px]">{page.stoppedWhy}</p>
        <button
          type="button"
          className="btn btn-outline mt-5 h-11 px-5 text-[15px]"
          onClick={() => this.setState({ failed: false })}
        >
          {again}
        </button>
      </main>
    );
  }
}
