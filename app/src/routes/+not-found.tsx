import { useRouter } from 'expo-router';
import { Button, Empty, Screen } from '../ui';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title="Nothing here" back="/round">
      <Empty
        title="This address leads nowhere"
        text="It may be mistyped, or what it named was put away."
        action={
          <Button variant="primary" label="To the Round" onPress={() => router.replace('/round')} />
        }
      />
    </Screen>
  );
}
