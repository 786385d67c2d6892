import { Component, type ComponentProps, type ReactNode } from 'react';
import { View } from 'react-native';
import { SIZES } from '../theme';
import { isNotLoaded, reloadIfNew, reloadIfThere } from './newBuild';
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

const NOT_LOADED = {
  type: 'urn:open-larder:not-loaded',
  status: 0,
  title: 'This part has not loaded',
  detail: 'The connection was lost on the way. What you entered is kept.',
};

/** What stands in the place of a part, apart from the edges of the screen. */
function Failed(props: ComponentProps<typeof Fault>) {
  return (
    <View style={{ padding: SIZES.gutter }}>
      <Fault {...props} />
    </View>
  );
}

export const NotLoaded = ({ onRetry }: { onRetry: () => void }) => (
  <Failed problem={NOT_LOADED} onRetry={onRetry} />
);

/** Where a part of the screen fails, that part says so, and everything around it goes on. */
export class Boundary extends Component<Props, { error: unknown }> {
  override state: { error: unknown } = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override componentDidCatch(error: unknown) {
    if (isNotLoaded(error)) void reloadIfNew();
  }

  override componentDidUpdate(before: Props) {
    if (this.state.error !== null && before.about !== this.props.about) this.again();
  }

  again = () => this.setState({ error: null });

  override render() {
    const { error } = this.state;
    if (error === null) return this.props.children;
    // A page that did not load once is not asked for again by itself: the whole of it is.
    return isNotLoaded(error) ? (
      <Failed problem={NOT_LOADED} onRetry={() => void reloadIfThere()} />
    ) : (
      <Failed problem={BROKEN} onRetry={this.again} />
    );
  }
}
