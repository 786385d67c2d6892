import CloudAlert from 'lucide-react-native/icons/cloud-alert';
import CloudCheck from 'lucide-react-native/icons/cloud-check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import CloudUpload from 'lucide-react-native/icons/cloud-upload';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useFormat, useHousehold } from '../store';
import { nowMs } from '../store/clock';
import { localNow } from '../store/useNow';
import { SIZES, themed, useColours } from '../theme';
import { Text } from '../ui';
import { unsentBefore } from './here';
import { OutboxSheet } from './OutboxSheet';
import { useOutbox } from './useOutbox';

/** «3 kept here» */
export function useOutboxState() {
  const format = useFormat();
  const zone = useHousehold()?.timeZone ?? 'UTC';
  const { here, waiting, aside, held, reach } = useOutbox();
  const asOf = () => {
    if (reach.asOfMs === null) return '';
    const { day, minutes } = localNow(new Date(reach.asOfMs), zone);
    const today = localNow(new Date(nowMs()), zone).day;
    return `, as of ${day === today ? '' : `${format.day(day)} `}${format.time(minutes)}`;
  };
  // What was kept is known a moment before it is read.
  const many = here ? waiting.length : unsentBefore();
  const kept = `${many} kept here`;
  const fleeting = here !== null && !here.lasts && many > 0;
  if (aside.length > 0) {
    const need = aside.length === 1 ? 'One entry needs' : `${aside.length} entries need`;
    return { Icon: CloudAlert, urgent: true, says: `${need} you` };
  }
  if (here && here.cleared > 0) {
    return {
      Icon: CloudAlert,
      urgent: true,
      says: `This browser cleared what was kept: ${here.cleared} not sent`,
    };
  }
  if (fleeting) {
    return { Icon: CloudAlert, urgent: true, says: `${kept}: leave this page open until sent` };
  }
  if (reach.lost) {
    const what = many > 0 ? `${kept}, no connection` : 'No connection';
    return { Icon: CloudOff, urgent: false, says: `${what}${asOf()}` };
  }
  if (many > 0 && held) {
    const why = `${held.title.charAt(0).toLowerCase()}${held.title.slice(1)}`;
    return { Icon: CloudOff, urgent: true, says: `${kept}: ${why}` };
  }
  if (many > 0) return { Icon: CloudUpload, urgent: false, says: `${kept}, sending` };
  return { Icon: CloudCheck, urgent: false, says: null };
}

/** The one sign of whether what was done is kept here, sent, or needs a decision; it opens the list. */
export function OutboxMark() {
  const styles = useStyles();
  const colours = useColours();
  const [open, setOpen] = useState(false);
  const { Icon, urgent, says } = useOutboxState();
  return (
    <>
      <Pressable
        role="button"
        aria-label={says ?? 'All is sent'}
        onPress={() => setOpen(true)}
        style={styles.sign}
      >
        <Icon size={22} color={urgent ? colours.roe : colours.ink2} />
      </Pressable>
      {open ? <OutboxSheet onClose={() => setOpen(false)} /> : null}
    </>
  );
}

/** The same in words over the places, as long as not all is sent. */
export function OutboxStrip() {
  const styles = useStyles();
  const colours = useColours();
  const [open, setOpen] = useState(false);
  const { Icon, urgent, says } = useOutboxState();
  return (
    <>
      {says === null ? null : (
        <View role="status">
          <Pressable role="button" onPress={() => setOpen(true)} style={styles.strip}>
            <Icon size={18} color={urgent ? colours.roe : colours.ink2} />
            <Text variant="small" tone={urgent ? 'due' : 'ink'}>
              {says}
            </Text>
          </Pressable>
        </View>
      )}
      {open ? <OutboxSheet onClose={() => setOpen(false)} /> : null}
    </>
  );
}

const useStyles = themed((c) => ({
  sign: {
    width: SIZES.touch,
    height: SIZES.touch,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: SIZES.radius,
  },
  strip: {
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: SIZES.gutter,
    backgroundColor: c.paper,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
}));
