import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import * as v from 'valibot';
import { Button, FormField, showToast } from '../../parts';
import { api } from '../../state/api';
import { SPACE } from '../../theme';
import { KEYS } from '../../state/keys';

/** A course as it once was. */
export interface Version {
  readonly revision: number;
  readonly saved: number;
  readonly pieces: number;
  readonly label: string | null;
}

const NameForm = v.object({ label: v.pipe(v.string(), v.trim(), v.maxLength(60)) });

interface NameProps {
  /** The course. */
  readonly id: string;
  readonly version: Version;
  readonly onDone: () => void;
}

/** What a version is called; with nothing typed it has no name. */
export function VersionName({ id, version, onDone }: NameProps) {
  const client = useQueryClient();
  const form = useForm({
    resolver: valibotResolver(NameForm),
    defaultValues: { label: version.label ?? '' },
  });
  const name = useMutation({
    mutationFn: (label: string) => api.nameVersion(id, version.revision, label || null),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: KEYS.versions(id) });
      onDone();
    },
    onError: (error) => showToast(error.message),
  });
  return (
    <View style={{ gap: SPACE.s, paddingVertical: SPACE.s }}>
      <FormField
        control={form.control}
        of="label"
        label={`Name of version ${version.revision}`}
        maxLength={60}
        testID="version-name"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Leave it" onPress={onDone} style={{ flex: 1 }} />
        <Button
          kind="main"
          title="Name it"
          busy={name.isPending}
          onPress={form.handleSubmit(({ label }) => name.mutate(label))}
          style={{ flex: 1 }}
          testID="version-name-it"
        />
      </View>
    </View>
  );
}
