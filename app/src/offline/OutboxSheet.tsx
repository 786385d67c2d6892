import type { BodyOf, Feeding, Problem } from '@open-larder/contract';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { api, useFormat, useHousehold } from '../store';
import { localNow } from '../store/useNow';
import { themed } from '../theme';
import { Button, Sheet, Text, useToast } from '../ui';
import type { Act } from './act';
import { useActWords } from './useActWords';
import { useOutbox } from './useOutbox';

/** What this device keeps: what needs a decision, and what waits to be sent. */
export function OutboxSheet({ onClose }: { onClose: () => void }) {
  const styles = useStyles();
  const words = useActWords();
  const { here, waiting, aside, held, reach } = useOutbox();
  return (
    <Sheet title="Kept on this device" open onClose={onClose}>
      {here && here.cleared > 0 ? (
        <Text tone="due">
          {`This browser cleared what it kept: ${here.cleared} entries had not been sent and are gone. Look at the Round and log them again. A browser keeps more for a page that is added to the home screen.`}
        </Text>
      ) : null}
      {here && !here.lasts ? (
        <Text tone="due">
          This window keeps nothing once it is closed. Leave it open until all is sent.
        </Text>
      ) : null}
      {aside.map((act) => (
        <Aside key={act.seq} act={act} />
      ))}
      {waiting.length > 0 ? (
        <View style={styles.list}>
          <Text variant="strong">
            {reach.lost
              ? 'Sent as soon as there is a connection'
              : held
                ? `${held.title}: sent as soon as the server can take it`
                : 'Being sent'}
          </Text>
          {waiting.map((act) => {
            const { title, about, at } = words(act);
            return (
              <View key={act.seq} style={styles.row}>
                <Text>{title}</Text>
                <Text variant="small" tone="quiet">
                  {[about, at].filter(Boolean).join(' · ')}
                </Text>
              </View>
            );
          })}
          <Button label="Send now" onPress={() => here?.outbox.pass()} />
        </View>
      ) : null}
      {waiting.length === 0 && aside.length === 0 ? (
        <Text tone="quiet">
          {reach.lost
            ? 'Nothing waits here. What you do now is kept on this device and sent when the server can be reached again.'
            : 'All is sent. Without a connection, what you do is kept here and sent later.'}
        </Text>
      ) : null}
    </Sheet>
  );
}

/** What the server does not take, with the ways on. */
function Aside({ act }: { act: Act }) {
  const styles = useStyles();
  const words = useActWords();
  const says = useConflictWords();
  const toast = useToast();
  const { here } = useOutbox();
  const [log] = api.useLogFeedingMutation();
  const { title, about, at } = words(act);
  const theirs = fedElsewhere(act);
  const problem = act.problem as Problem;
  const twice = async () => {
    const fed = act.body as BodyOf<'logFeeding'>;
    const again = { ...fed, id: uuidv7(), servingId: uuidv7(), outcome: 'more', note: 'fed again' };
    const answer = await log({ body: again as BodyOf<'logFeeding'> });
    if (answer.error) toast((answer.error as Problem).detail, { tone: 'error' });
    else await here?.outbox.giveUp(act.seq);
  };
  return (
    <View style={styles.aside} role="group" aria-label={title}>
      <Text variant="strong">{title}</Text>
      <Text variant="small" tone="quiet">
        {[about, at].filter(Boolean).join(' · ')}
      </Text>
      <Text tone="due">{theirs ? says(act, theirs) : problem.detail}</Text>
      <View style={styles.ways}>
        {theirs ? (
          <>
            <Button
              variant="primary"
              label="Once"
              spoken={`${title} was given once`}
              onPress={() => here?.outbox.giveUp(act.seq)}
            />
            <Button label="Twice" spoken={`${title} was given twice`} onPress={twice} />
          </>
        ) : (
          <>
            <Button label="Try again" onPress={() => here?.outbox.retry(act.seq)} />
            <Button
              variant="bare"
              label="Leave it out"
              onPress={() => here?.outbox.giveUp(act.seq)}
            />
          </>
        )}
      </View>
    </View>
  );
}

/** The other feeding, where two phones logged the same serving. */
const fedElsewhere = ({ route, problem }: Act): Feeding | null =>
  route === 'logFeeding' && problem?.status === 409 && problem.theirs
    ? (problem.theirs as Feeding)
    : null;

/** «Fed at 18:31 by Finch, at 18:34 on this device: once or twice?» */
function useConflictWords() {
  const format = useFormat();
  const zone = useHousehold()?.timeZone ?? 'UTC';
  const time = (at: string) => format.time(localNow(new Date(at), zone).minutes);
  return ({ body }: Act, theirs: Feeding): string => {
    const by = theirs.hand ? `by ${theirs.hand}` : 'on another device';
    return `Fed at ${time(theirs.at)} ${by}, at ${time((body as BodyOf<'logFeeding'>).at)} on this device: once or twice?`;
  };
}

const useStyles = themed((c) => ({
  list: { gap: 4, alignItems: 'stretch' },
  row: { paddingVertical: 6, borderTopWidth: 1, borderColor: c.rule },
  aside: {
    gap: 4,
    padding: 12,
    borderWidth: 1,
    borderColor: c.roe,
    borderRadius: 8,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 4 },
}));
