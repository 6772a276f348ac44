import { Component, type ReactNode } from 'react';
import { failureOf, type StoreFailure } from '@/device/failure';
import { Failed } from './Failed';
import { readingFailed } from '../../words/failureWords';

interface Props {
  readonly children: ReactNode;
  /** Another one starts again: the name of the desk, say. */
  readonly name: string;
}

interface State {
  readonly failure: StoreFailure | null;
  readonly name: string;
}

/** Around each desk: where drawing it fails, the rest of the page stays, and the desk can be tried again. */
export class Boundary extends Component<Props, State> {
  override state: State = { failure: null, name: this.props.name };

  static getDerivedStateFromError(error: unknown): Partial<State> {
    return { failure: failureOf(error) };
  }

  static getDerivedStateFromProps({ name }: Props, state: State): Partial<State> | null {
    return name === state.name ? null : { name, failure: null };
  }

  override render() {
    const { failure } = this.state;
    if (failure === null) return this.props.children;
    return (
      <main className="mx-auto w-full max-w-2xl px-6 py-16">
        <Failed text={readingFailed(failure)} onAgain={() => this.setState({ failure: null })} />
      </main>
    );
  }
}
