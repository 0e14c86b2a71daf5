import { useEffect, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { readKit, type Kit } from '@/core/edit';
import type { KitListed } from '@/core/protocol';
import { Button, DrawnPicture, Field, saveText, Sheet, showToast, Text } from '../../../parts';
import { api, pictureOf } from '../../../state/api';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { useKitChange, useKits } from '../../../state/queries';
import { RADIUS, SPACE, useColours } from '../../../theme';
import { useLay } from '../layStore';
import { useOpen } from '../../screen/openStore';
import { importModel } from '../sheets/importModel';
import { takeKit } from '../tools/kitTool';
import { ToolButton } from './ToolButton';

/** The maker's kit: assemblies to lay again, and ways to add to it. */
export function KitOptions() {
  const colours = useColours();
  const { data: kits, error, isPending } = useKits();
  const chosen = usePanelSnapshot((s) => s.choice.size);
  const keep = useKitChange((kit: Kit) => api.keepKit(kit));
  const [taken, setTaken] = useState<string | null>(null);
  const [about, setAbout] = useState<KitListed | null>(null);
  const files = useRef<HTMLInputElement>(null);
  const models = useRef<HTMLInputElement>(null);

  // What was in hand is not laid any more once the kit is put away.
  useEffect(() => () => takeKit(null), []);

  const take = async ({ id, name }: KitListed) => {
    try {
      takeKit((await api.kit(id)).kit);
      setTaken(id);
      useLay.getState().set({ stroke: [] });
      showToast(`Tap where ${name} goes.`);
    } catch (problem) {
      showToast((problem as Error).message);
    }
  };
  const read = async (file: File) => {
    try {
      await keep.mutateAsync(readKit(await file.text()));
      showToast('The assembly is in the kit.');
    } catch (problem) {
      showToast((problem as Error).message);
    }
  };
  return (
    <>
      <ToolButton
        icon="archive"
        label="Keep"
        disabled={chosen === 0}
        onPress={() => useOpen.getState().open('kit')}
        testID="kit-keep"
      />
      <ToolButton icon="folder" label="From file" onPress={() => files.current?.click()} />
      <ToolButton icon="box" label="3D model" onPress={() => models.current?.click()} />
      <input
        ref={files}
        type="file"
        accept=".json,application/json"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        }}
      />
      <input
        ref={models}
        type="file"
        accept=".glb,model/gltf-binary"
        data-testid="model-file"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void importModel(file);
        }}
      />
      {isPending && <Text tint="slate">Looking into the kit …</Text>}
      {error && <Text tint="rust">{error.message}</Text>}
      {kits?.length === 0 && (
        <Text as="small" tint="slate" style={{ maxWidth: 140 }}>
          Choose pieces and keep them here, to lay them again in any course.
        </Text>
      )}
      {kits?.map((kit) => (
        <Pressable
          key={kit.id}
          accessibilityRole="button"
          accessibilityLabel={`Lay ${kit.name}`}
          aria-pressed={taken === kit.id}
          onPress={() => void take(kit)}
          onLongPress={() => setAbout(kit)}
          style={{
            width: 104,
            alignItems: 'center',
            borderRadius: RADIUS.s,
            borderWidth: taken === kit.id ? 2 : 1,
            borderColor: taken === kit.id ? colours.moss : colours.line,
            backgroundColor: colours.card,
            padding: SPACE.xs,
          }}
        >
          <DrawnPicture uri={pictureOf.kit(kit)} of={kit.name} width={92} />
          <Text as="small" numberOfLines={1}>
            {kit.name}
          </Text>
          <Text
            as="small"
            tint="moss"
            accessibilityLabel={`More for ${kit.name}`}
            onPress={() => setAbout(kit)}
            style={{ paddingVertical: 4 }}
          >
            More
          </Text>
        </Pressable>
      ))}
      {about && <KitSheet key={about.id} listed={about} onClose={() => setAbout(null)} />}
    </>
  );
}

function KitSheet({ listed, onClose }: { listed: KitListed; onClose: () => void }) {
  const { id, pieces } = listed;
  const [name, setName] = useState(listed.name);
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
      <Field label="Name" value={name} maxLength={60} onChangeText={setName} />
      <Button
        title="Rename"
        disabled={!name.trim() || name === listed.name}
        onPress={() => change.mutate(name.trim(), { onSuccess: onClose, onError: fail })}
      />
      <Button
        title="Save as a file"
        icon="download"
        onPress={() =>
          void api
            .kit(id)
            .then(({ kit }) => saveText(`${kit.name}.kit.json`, JSON.stringify(kit)))
            .catch(fail)
        }
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
