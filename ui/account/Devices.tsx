import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import type { Device, DeviceKind } from '@/core/protocol';
import { ago, Button, Feather, IconButton, Loading, showToast, Text } from '../parts';
import { api } from '../state/api';
import { useDevices } from '../state/queries';
import { SPACE, TARGET, useColours } from '../theme';
import { KEYS } from '../state/keys';

const KINDS: Readonly<Record<DeviceKind, { readonly words: string; readonly icon: string }>> = {
  phone: { words: 'Phone', icon: 'smartphone' },
  tablet: { words: 'Tablet', icon: 'tablet' },
  computer: { words: 'Computer', icon: 'monitor' },
};

/** Where one is signed in, and a way to end it. */
export function Devices() {
  const client = useQueryClient();
  const { data, error } = useDevices();
  const heard = (words: string) => ({
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.devices });
      showToast(words);
    },
    onError: (problem: Error) => showToast(problem.message),
  });
  const end = useMutation({ mutationFn: api.endDevice, ...heard('Signed out there.') });
  const endOthers = useMutation({
    mutationFn: () => api.endOthers(),
    ...heard('Signed out everywhere else.'),
  });
  if (error) return <Text tint="rust">{error.message}</Text>;
  if (!data) return <Loading what="" />;
  return (
    <View style={{ gap: SPACE.xs }} testID="devices">
      <Text as="strong">Signed in on</Text>
      {data.map((device) => (
        <DeviceRow key={device.id} device={device} onEnd={() => end.mutate(device.id)} />
      ))}
      {data.length > 1 && (
        <Button
          title="Sign out everywhere else"
          busy={endOthers.isPending}
          onPress={() => endOthers.mutate()}
          testID="end-others"
        />
      )}
    </View>
  );
}

function DeviceRow({ device, onEnd }: { device: Device; onEnd: () => void }) {
  const colours = useColours();
  const { words, icon } = KINDS[device.kind];
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET }}>
      <Feather name={icon as 'monitor'} size={18} color={colours.slate} />
      <Text as="small" style={{ flex: 1 }}>
        {words}
        {device.here ? ', this one' : `, used ${ago(device.used)}`}
      </Text>
      {!device.here && (
        <IconButton
          icon="log-out"
          label={`Sign out on the ${words.toLowerCase()} used ${ago(device.used)}`}
          onPress={onEnd}
        />
      )}
    </View>
  );
}
