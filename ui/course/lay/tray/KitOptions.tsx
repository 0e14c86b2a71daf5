import { useEffect, useState } from 'react';
import { Pressable } from 'react-native';
import { readKit, type Kit } from '@/core/edit';
import type { KitListed } from '@/core/protocol';
import { DrawnPicture, showToast, Text, useFileChoice } from '../../../parts';
import { api, pictureOf } from '../../../state/api';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { useKitChange, useKits } from '../../../state/queries';
import { RADIUS, SPACE, useColours } from '../../../theme';
import { useOpen } from '../../open/openStore';
import { useLay } from '../../open/laying';
import { importModel } from '../sheets/importModel';
import { KitSheet } from '../sheets/KitSheet';
import { takeKit } from '../../tools/kitTool';
import { ToolButton } from './ToolButton';

/** The maker's kit: assemblies to lay again, and ways to add to it. */
export function KitOptions() {
  const { data: kits, error, isPending } = useKits();
  const [taken, setTaken] = useState<string | null>(null);
  const [about, setAbout] = useState<KitListed | null>(null);

  // What was in hand is not laid any more once the kit is put away.
  useEffect(() => () => takeKit(null), []);

  const take = async ({ id, name }: KitListed) => {
    try {
      takeKit((await api.kit(id)).kit);
      setTaken(id);
      useLay.getState().drawStroke([]);
      showToast(`Tap where ${name} goes.`);
    } catch (problem) {
      showToast((problem as Error).message);
    }
  };
  return (
    <>
      <WaysIn />
      {isPending && <Text tint="slate">Looking into the kit …</Text>}
      {error && <Text tint="rust">{error.message}</Text>}
      {kits?.length === 0 && (
        <Text as="small" tint="slate" style={{ maxWidth: 140 }}>
          Choose pieces and keep them here, to lay them again in any course.
        </Text>
      )}
      {kits?.map((kit) => (
        <KitCard
          key={kit.id}
          kit={kit}
          on={taken === kit.id}
          onTake={() => void take(kit)}
          onMore={() => setAbout(kit)}
        />
      ))}
      {about && <KitSheet key={about.id} listed={about} onClose={() => setAbout(null)} />}
    </>
  );
}

/** What comes into the kit: what is chosen, a kit's file, a model's. */
function WaysIn() {
  const chosen = usePanelSnapshot((s) => s.choice.size);
  const keep = useKitChange((kit: Kit) => api.keepKit(kit));
  const read = async (file: File) => {
    try {
      await keep.mutateAsync(readKit(await file.text()));
      showToast('The assembly is in the kit.');
    } catch (problem) {
      showToast((problem as Error).message);
    }
  };
  const files = useFileChoice({
    accept: '.json,application/json',
    onFile: (file) => void read(file),
  });
  const models = useFileChoice({
    accept: '.glb,model/gltf-binary',
    testID: 'model-file',
    onFile: (file) => void importModel(file),
  });
  return (
    <>
      <ToolButton
        icon="archive"
        label="Keep"
        disabled={chosen === 0}
        onPress={() => useOpen.getState().open('kit')}
        testID="kit-keep"
      />
      <ToolButton icon="folder" label="From file" onPress={files.choose} />
      <ToolButton icon="box" label="3D model" onPress={models.choose} />
      {files.input}
      {models.input}
    </>
  );
}

interface KitCardProps {
  readonly kit: KitListed;
  /** It is in hand. */
  readonly on: boolean;
  readonly onTake: () => void;
  readonly onMore: () => void;
}

function KitCard({ kit, on, onTake, onMore }: KitCardProps) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Lay ${kit.name}`}
      aria-pressed={on}
      onPress={onTake}
      onLongPress={onMore}
      style={{
        width: 104,
        alignItems: 'center',
        borderRadius: RADIUS.s,
        borderWidth: on ? 2 : 1,
        borderColor: on ? colours.moss : colours.line,
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
        onPress={onMore}
        style={{ paddingVertical: 4 }}
      >
        More
      </Text>
    </Pressable>
  );
}
