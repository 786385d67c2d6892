import { Text } from 'react-native';

/** The least that Expo Router can show: the baseline of the first-load bench. */
export default function Bare() {
  return <Text>Bare</Text>;
}
