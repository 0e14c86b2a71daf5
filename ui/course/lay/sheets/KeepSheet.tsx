import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { chosenOf, toKit, type Kit } from '@/core/edit';
import { familyOf } from '@/core/pieces';
import { Button, Field, KitPicture, Sheet, showToast, Text } from '../../../parts';
import { api } from '../../../state/api';
import { useEditing } from '../../../state/panelSnapshot';
import { useKitChange } from '../../../state/queries';

/** Keeps the choice in the kit under a name. */
export function KeepSheet({ onClose }: { onClose: () => void }) {
  const { course, choice } = useEditing();
  const [first] = chosenOf(course, choice);
  const [name, setName] = useState(first?.name ?? (first ? familyOf(first.family).label : ''));
  const keep = useKitChange((kit: Kit) => api.keepKit(kit));
  const made = useMemo(() => {
    try {
      return { kit: toKit(course, choice, name || 'Assembly'), error: null };
    } catch (problem) {
      return { kit: null, error: (problem as Error).message };
    }
  }, [course, choice, name]);
  return (
    <Sheet title="Keep in the kit" open onClose={onClose}>
      {made.kit && (
        <View style={{ alignItems: 'center' }}>
          <KitPicture kit={made.kit} width={280} height={140} />
        </View>
      )}
      <Field label="Name" value={name} maxLength={60} onChangeText={setName} testID="kit-name" />
      {(made.error ?? keep.error) && (
        <Text as="small" tint="rust" accessibilityRole="alert">
          {made.error ?? keep.error?.message}
        </Text>
      )}
      <Button
        kind="main"
        title="Keep"
        busy={keep.isPending}
        disabled={!made.kit || !name.trim()}
        onPress={() =>
          keep.mutate(made.kit!, {
            onSuccess: () => {
              showToast('It is in the kit, for any course.');
              onClose();
            },
          })
        }
        testID="kit-keep-it"
      />
    </Sheet>
  );
}
