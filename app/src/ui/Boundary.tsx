import { Component, type ReactNode } from 'react';
import { Fault } from './states';

interface Props {
  children: ReactNode;
  /** Where it changes, what failed is tried anew: another address, another sheet. */
  about?: string;
}

const BROKEN = {
  type: 'about:blank',
  status: 0,
  title: 'This part cannot be shown',
  detail: 'Something went wrong while it was drawn. What you entered is kept; the rest works.',
};

/** Where a part of the screen fails, that part says so, and everything around it goes on. */
export class Boundary extends Component<Props, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override componentDidUpdate(before: Props) {
    if (this.state.failed && before.about !== this.props.about) this.setState({ failed: false });
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return <Fault problem={BROKEN} onRetry={() => this.setState({ failed: false })} />;
  }
}
