import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { chosenOf, toKit, type Kit } from '@/core/edit';
import { familyOf } from '@/core/pieces';
import { Button, FormField, KitPicture, Sheet, showToast, Text } from '../../../parts';
import { api } from '../../../state/api';
import { useEditing } from '../../../state/panelSnapshot';
import { useKitChange } from '../../../state/queries';
import { KitForm } from './kitForm';

/** Keeps the choice in the kit under a name. */
export function KeepSheet({ onClose }: { onClose: () => void }) {
  const { course, choice } = useEditing();
  const [first] = chosenOf(course, choice);
  const form = useForm({
    resolver: valibotResolver(KitForm),
    defaultValues: { name: first?.name ?? (first ? familyOf(first.family).label : '') },
  });
  const keep = useKitChange((kit: Kit) => api.keepKit(kit));
  const made = useMemo(() => {
    try {
      return { kit: toKit(course, choice, 'Assembly'), error: null };
    } catch (problem) {
      return { kit: null, error: (problem as Error).message };
    }
  }, [course, choice]);
  const keepAs = (name: string) =>
    keep.mutate(toKit(course, choice, name), {
      onSuccess: () => {
        showToast('It is in the kit, for any course.');
        onClose();
      },
      onError: (error) => form.setError('name', { message: error.message }),
    });
  return (
    <Sheet title="Keep in the kit" open onClose={onClose}>
      {made.kit && (
        <View style={{ alignItems: 'center' }}>
          <KitPicture kit={made.kit} width={280} height={140} />
        </View>
      )}
      <FormField control={form.control} of="name" label="Name" maxLength={60} testID="kit-name" />
      {made.error && (
        <Text as="small" tint="rust" accessibilityRole="alert">
          {made.error}
        </Text>
      )}
      <Button
        kind="main"
        title="Keep"
        busy={keep.isPending}
        disabled={!made.kit}
        onPress={form.handleSubmit(({ name }) => keepAs(name))}
        testID="kit-keep-it"
      />
    </Sheet>
  );
}
