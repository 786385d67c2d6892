import type { Answered, Problem } from '@open-larder/contract';
import { formatMgL, formatSign } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useFormat, type Format } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { Button, Card, Empty, ListRow, useToast, Waiting } from '../ui';
import { stampFor } from '../store/intent';
import { TwoWeeks } from './TwoWeeks';

/** What was proposed, what was answered, and what it led to, newest first. */
export function DecidedView() {
  const format = useFormat();
  const toast = useToast();
  const { data, error, refetch } = ledgerApi.useAnswersQuery(undefined, {
    refetchOnMountOrArgChange: true,
  });
  const [undo] = api.useUndoAnswerMutation();
  const [compared, setCompared] = useState<Answered | null>(null);
  if (!data) return <Waiting of={{ error, refetch }} rows={4} height={72} />;
  if (data.length === 0) {
    return (
      <Empty
        title="Nothing was decided yet"
        text="What bellies, leftovers, lengths and water ask for is proposed on the Round. Your answers, and what came of them, are listed here."
      />
    );
  }
  const takeBack = async ({ id, about }: Answered) => {
    const done = await undo({ params: { id }, body: stampFor('undo', id) });
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    else toast(`${about}: the answer is taken back.`);
  };
  return (
    <View style={{ maxWidth: 820 }}>
      <Card label="What was decided">
        {data.map((answer, at) => (
          <ListRow
            key={answer.id}
            first={at === 0}
            title={`${answer.about}: ${formatAnswer(answer)}`}
            detail={[
              `${format.day(answer.day)}${answer.hand === null ? '' : `, ${answer.hand}`}`,
              formatSpoke(answer, format),
              formatLedTo(answer, format),
            ]
              .filter((line) => line !== '')
              .join('\n')}
            trail={
              <View style={{ alignItems: 'flex-end' }}>
                {answer.accepted ? (
                  <Button
                    variant="bare"
                    label="Two weeks"
                    spoken={`The weeks before and after: ${answer.about}, ${format.day(answer.day)}`}
                    onPress={() => setCompared(answer)}
                  />
                ) : null}
                <Button
                  least="keeper"
                  variant="bare"
                  label="Take back"
                  spoken={`Take back: ${answer.about}, ${format.day(answer.day)}`}
                  onPress={() => takeBack(answer)}
                />
              </View>
            }
          />
        ))}
      </Card>
      {compared ? <TwoWeeks answer={compared} onClose={() => setCompared(null)} /> : null}
    </View>
  );
}

/** «10 % less», «left as it was», «asked again in a week» */
export function formatAnswer({ kind, accepted, later, change, foodName }: Answered): string {
  const wanted =
    kind === 'portions'
      ? `${Math.round(Math.abs(change ?? 0) * 100)} % ${(change ?? 0) < 0 ? 'less' : 'more'}`
      : kind === 'water'
        ? 'another rhythm of changes'
        : `training onto ${foodName?.toLowerCase() ?? 'a food'}`;
  return accepted ? wanted : `${wanted}, ${later ? 'put off for a week' : 'declined'}`;
}

/** Signs that are named; the others are counted. */
const NAMED = 2;

function formatSpoke({ signs }: Answered, format: Format): string {
  if (signs.length === 0) return '';
  const named = signs
    .slice(0, NAMED)
    .map(({ seen, day }) => `${formatSign(seen, format.units)} on ${format.day(day)}`);
  const more = signs.length - named.length;
  return `For it spoke: ${[...named, ...(more > 0 ? [`and ${more} more`] : [])].join('; ')}.`;
}

/** What came of it, as far as someone looked. */
export function formatLedTo({ ledTo, nitrate }: Answered, format: Format): string {
  if (nitrate) {
    return `Then: nitrate ${formatMgL(nitrate.mgL)} mg/L on ${format.day(nitrate.day)}.`;
  }
  if (!ledTo) return '';
  const { more, right, less, says } = ledTo;
  if (says === 'unseen') return 'Then: not checked yet.';
  const seen = `${more + right + less} seen, ${right} of them right`;
  if (says === 'right') return `Then: about right (${seen}).`;
  return `Then: ${says === 'still more' ? 'too little' : 'too much'} still (${seen}).`;
}
