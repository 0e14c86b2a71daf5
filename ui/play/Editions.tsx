import { useMutation, useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { EditionChange, PublishedCourse } from '@/core/protocol';
import { ago, Button, IconButton, ListItem, showToast, Text } from '../parts';
import { api } from '../state/api';
import { KEYS } from '../state/keys';

/** The editions of a published course and what became of it from one to the next; each opens as it was. */
export function Editions({ data }: { readonly data: PublishedCourse }) {
  const { slug, own, edition, editions } = data;
  if (editions.length < 2) return null;
  const now = editions[0].edition;
  const open = (asked: number) =>
    router.setParams({ edition: asked === now ? undefined : String(asked) });
  return (
    <View testID="editions">
      <Text as="heading">Editions</Text>
      <Text as="small" tint="slate">
        Each has best times of its own.
      </Text>
      {editions.map((one) => (
        <View key={one.edition} style={{ flexDirection: 'row', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <ListItem
              on={one.edition === edition}
              onPress={() => open(one.edition)}
              testID={`edition-${one.edition}`}
            >
              <View style={{ flex: 1 }}>
                <Text as={one.edition === edition ? 'strong' : 'text'}>
                  {one.edition}
                  {one.edition === now ? ', as it is now' : ''} · {ago(one.published)}
                </Text>
                <Text as="small" tint="slate">
                  {one.changes ? changeWords(one.changes) : 'The first'}
                </Text>
              </View>
            </ListItem>
          </View>
          {own && one.edition !== now && (
            <RemoveEdition
              slug={slug}
              edition={one.edition}
              onRemoved={() => one.edition === edition && open(now)}
            />
          )}
        </View>
      ))}
    </View>
  );
}

interface RemoveEditionProps {
  readonly slug: string;
  readonly edition: number;
  readonly onRemoved: () => void;
}

/** Takes an earlier edition away, with its best times; asked for twice. */
function RemoveEdition({ slug, edition, onRemoved }: RemoveEditionProps) {
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const remove = useMutation({
    mutationFn: () => api.removeEdition(slug, edition),
    onSuccess: () => {
      onRemoved();
      void client.invalidateQueries({ queryKey: KEYS.published(slug) });
      showToast(`Edition ${edition} and its times are removed.`);
    },
    onError: (error: Error) => showToast(error.message),
  });
  if (!asked) {
    return (
      <IconButton
        icon="trash-2"
        label={`Remove edition ${edition}`}
        onPress={() => setAsked(true)}
      />
    );
  }
  return (
    <Button
      kind="danger"
      title="Remove it and its times"
      busy={remove.isPending}
      onPress={() => remove.mutate()}
    />
  );
}

/** What became of a course, in words: 2 pieces more, 1 gone, 3 moved, 1 changed. */
export function changeWords({ added, removed, moved, changed }: EditionChange): string {
  const told = [
    added > 0 && `${added} more`,
    removed > 0 && `${removed} gone`,
    moved > 0 && `${moved} moved`,
    changed > 0 && `${changed} changed`,
  ].filter((words) => words !== false);
  if (told.length === 0) return 'The pieces stayed as they were; its rules changed';
  const [first, ...rest] = told;
  const [count, ...words] = first.split(' ');
  const pieces = count === '1' ? 'piece' : 'pieces';
  return [`${count} ${pieces} ${words.join(' ')}`, ...rest].join(', ');
}
