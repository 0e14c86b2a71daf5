import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { KitListed } from '@/core/protocol';
import {
  Button,
  DrawnPicture,
  FileButtons,
  FormField,
  Sheet,
  showToast,
  Text,
} from '../../../parts';
import { api, pictureOf } from '../../../state/api';
import { useKitChange } from '../../../state/queries';
import { KitForm } from './kitForm';

/** What is done to an assembly of the kit. */
export function KitSheet({ listed, onClose }: { listed: KitListed; onClose: () => void }) {
  const { id, pieces } = listed;
  const form = useForm({
    resolver: valibotResolver(KitForm),
    defaultValues: { name: listed.name },
  });
  const change = useKitChange(async (next: string) =>
    api.changeKit(id, { ...(await api.kit(id)).kit, name: next }),
  );
  const remove = useKitChange(() => api.removeKit(id));
  const fail = (problem: Error) => showToast(problem.message);
  return (
    <Sheet title={listed.name} open onClose={onClose}>
      <View style={{ alignItems: 'center' }}>
        <DrawnPicture uri={pictureOf.kit(listed)} of={listed.name} width={280} />
      </View>
      <Text as="small" tint="slate">
        {pieces} {pieces === 1 ? 'piece' : 'pieces'}
      </Text>
      <FormField control={form.control} of="name" label="Name" maxLength={60} />
      <Button
        title="Rename"
        disabled={!form.formState.isDirty}
        onPress={form.handleSubmit(({ name }) =>
          change.mutate(name, { onSuccess: onClose, onError: fail }),
        )}
      />
      <FileButtons
        title="Save as a file"
        name={`${listed.name}.kit.json`}
        text={async () => JSON.stringify((await api.kit(id)).kit)}
      />
      <Button
        kind="danger"
        title="Delete"
        icon="trash-2"
        onPress={() => remove.mutate(undefined, { onSuccess: onClose, onError: fail })}
      />
    </Sheet>
  );
}
