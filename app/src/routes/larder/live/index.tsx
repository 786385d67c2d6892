import { later } from '../../../ui';

const LiveScreen = later(async () => (await import('../../../workshop')).LiveScreen);

export default function LiveRoute() {
  return <LiveScreen />;
}
