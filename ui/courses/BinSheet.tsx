import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { BIN_DAYS, type Bin } from '@/core/protocol';
import { ago, Button, Fault, Feather, Loading, megabytes, Sheet, showToast, Text } from '../parts';
import { api } from '../state/api';
import { useBin } from '../state/queries';
import { SPACE, TARGET, useColours } from '../theme';
import { KEYS } from '../state/keys';

type Kind = keyof Bin;

/** The lists that something comes back to. */
const LISTS: Readonly<Record<Kind, readonly string[]>> = {
  courses: KEYS.courses,
  kits: KEYS.kits,
  recordings: KEYS.recordings,
  series: KEYS.allSeries,
};

/** Something in the bin, whatever it is. */
interface Binned {
  readonly kind: Kind;
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly deleted: number;
}

const ICONS = { courses: 'map', kits: 'archive', recordings: 'music', series: 'list' } as const;

const count = (pieces: number): string => `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;

/** All that is in the bin, the last deleted first. */
function binned({ courses, kits, recordings, series }: Bin): Binned[] {
  const all = [
    ...courses.map(({ id, name, pieces, deleted }): Binned => ({
      ...{ kind: 'courses', id, deleted, about: count(pieces) },
      name: name || 'Unnamed course',
    })),
    ...kits.map(({ id, name, pieces, deleted }): Binned => ({
      ...{ kind: 'kits', id, name, deleted, about: `assembly of ${count(pieces)}` },
    })),
    ...series.map(({ id, name, courses: many, deleted }): Binned => ({
      ...{ kind: 'series', id, name, deleted },
      about: `series of ${many} ${many === 1 ? 'course' : 'courses'}`,
    })),
    ...recordings.map(({ file, bytes, deleted }): Binned => ({
      ...{ kind: 'recordings', id: file, deleted },
      name: 'Recording',
      about: `${file.slice(-3).toUpperCase()}, ${megabytes(bytes)}`,
    })),
  ];
  return all.sort((a, b) => b.deleted - a.deleted);
}

/** What was deleted in the last thirty days, each brought back by a tap. */
export function BinSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const client = useQueryClient();
  const { data, error, isPending, refetch } = useBin(open);
  const [sure, setSure] = useState(false);
  const all = data ? binned(data) : [];
  const close = () => {
    setSure(false);
    onClose();
  };
  const restore = useMutation({
    mutationFn: ({ kind, id }: Binned) => api.restore(kind, id),
    onSuccess: (_, { kind, name }) => {
      void client.invalidateQueries({ queryKey: LISTS[kind] });
      void client.invalidateQueries({ queryKey: KEYS.bin });
      showToast(`${name} is back.`);
    },
    onError: (problem) => showToast(problem.message),
  });
  const empty = useMutation({
    mutationFn: api.emptyBin,
    onSuccess: () => {
      setSure(false);
      void client.invalidateQueries({ queryKey: KEYS.bin });
    },
    onError: (problem) => showToast(problem.message),
  });
  return (
    <Sheet title="Bin" open={open} onClose={close}>
      <Text as="small" tint="slate">
        What you delete stays here for {BIN_DAYS} days. The link of a published course opens nothing
        while its course is in the bin.
      </Text>
      {isPending && <Loading what="Looking into the bin" />}
      {error && (
        <Fault
          title="The bin cannot be shown"
          words={error.message}
          action={{ label: 'Try again', act: () => void refetch() }}
        />
      )}
      {data && all.length === 0 && <Text testID="bin-empty">The bin is empty.</Text>}
      {all.map((item) => (
        <BinLine
          key={`${item.kind} ${item.id}`}
          item={item}
          busy={restore.isPending && restore.variables.id === item.id}
          onRestore={() => restore.mutate(item)}
        />
      ))}
      {all.length > 0 &&
        (sure ? (
          <View style={{ gap: SPACE.s }}>
            <Text tint="rust">
              {all.length === 1 ? 'It goes' : `All ${all.length} go`} for good.
            </Text>
            <View style={{ flexDirection: 'row', gap: SPACE.s }}>
              <Button title="Keep them" onPress={() => setSure(false)} style={{ flex: 1 }} />
              <Button
                kind="danger"
                title="Empty it"
                busy={empty.isPending}
                onPress={() => empty.mutate()}
                style={{ flex: 1 }}
                testID="bin-sure"
              />
            </View>
          </View>
        ) : (
          <Button
            kind="danger"
            title="Empty the bin"
            icon="trash-2"
            onPress={() => setSure(true)}
            testID="bin-clear"
          />
        ))}
    </Sheet>
  );
}

interface BinLineProps {
  readonly item: Binned;
  readonly busy: boolean;
  readonly onRestore: () => void;
}

function BinLine({ item, busy, onRestore }: BinLineProps) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.m,
        minHeight: TARGET + 12,
        borderTopWidth: 1,
        borderColor: colours.line,
      }}
    >
      <Feather name={ICONS[item.kind]} size={18} color={colours.slate} />
      <View style={{ flex: 1, minWidth: 0 }}>
        <Text>{item.name}</Text>
        <Text as="small" tint="slate">
          {item.about} · deleted {ago(item.deleted)}
        </Text>
      </View>
      <Button
        title="Bring back"
        label={`Bring back ${item.name}`}
        busy={busy}
        onPress={onRestore}
      />
    </View>
  );
}
