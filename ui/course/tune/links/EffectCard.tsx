import { View } from 'react-native';
import { changeEffect, changeLink, EFFECTS_ON_PIECES, newEffect } from '@/core/assemble';
import { EFFECTS, SOUNDS, type Effect, type EffectKind, type Link } from '@/core/course';
import { Button, Choices, Field, NumberField } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { Section } from '../Section';
import { Triple } from '../Triple';
import { useTune } from '../tuneStore';
import { EFFECT_WORDS, SOUND_WORDS } from '../words';
import { PiecesPicked, toggled } from './PiecesPicked';

const VALUE_WORDS: Partial<Record<EffectKind, string>> = {
  gravity: 'Gravity',
  speed: 'Pace',
  size: 'Size',
  tide: 'Tide line at',
  points: 'Points',
};

/** One thing that a link does, and to what. */
export function EffectCard({ link, effect, index }: { link: Link; effect: Effect; index: number }) {
  const edit = useCourse((s) => s.edit);
  const { kind } = effect;
  const set = (next: Effect, merge?: string) =>
    edit((now) => changeEffect(now, link.id, index, next), merge);
  const pick = () =>
    useTune.getState().set({
      picking: {
        words:
          kind === 'carry' ? 'Touch where the runner is carried to' : 'Touch what it is done to',
        take: (id) =>
          edit((now) => {
            const old = now.links?.find((one) => one.id === link.id)?.effects[index] ?? effect;
            const pieces = kind === 'carry' ? [id] : toggled(old.pieces, id);
            return changeEffect(now, link.id, index, { ...old, pieces });
          }),
      },
    });
  return (
    <Section title={index === 0 ? 'Then' : 'And'}>
      <Choices
        value={kind}
        options={EFFECTS.map((value) => ({ value, label: EFFECT_WORDS[value] }))}
        onChange={(next: EffectKind) => set(newEffect(next, effect.pieces))}
      />
      {EFFECTS_ON_PIECES.includes(kind) && (
        <PiecesPicked
          ids={effect.pieces}
          onPick={pick}
          onDrop={(id) => set({ ...effect, pieces: toggled(effect.pieces, id) })}
        />
      )}
      {kind === 'message' && (
        <Field
          label="Words"
          value={effect.text ?? ''}
          maxLength={120}
          onChangeText={(text) => set({ ...effect, text }, `effect ${index} text`)}
        />
      )}
      {kind === 'sound' && (
        <Choices
          value={effect.sound ?? 'bell'}
          options={SOUNDS.map((value) => ({ value, label: SOUND_WORDS[value] }))}
          onChange={(sound) => set({ ...effect, sound })}
        />
      )}
      {kind === 'push' && (
        <Triple
          label="By"
          unit="m/s"
          value={effect.by ?? [0, 10, 0]}
          onChange={(by) => set({ ...effect, by }, `effect ${index} by`)}
        />
      )}
      <View>
        {effect.value !== undefined && (
          <NumberField
            label={VALUE_WORDS[kind] ?? 'Value'}
            unit={kind === 'tide' ? 'm' : kind === 'points' ? '' : '×'}
            step={kind === 'points' ? 1 : 0.1}
            value={effect.value}
            onChange={(value) => set({ ...effect, value }, `effect ${index} value`)}
          />
        )}
        {effect.seconds !== undefined && (
          <NumberField
            label={kind === 'tide' ? 'Takes' : 'For'}
            unit="s"
            step={0.5}
            value={effect.seconds}
            onChange={(seconds) => set({ ...effect, seconds }, `effect ${index} seconds`)}
          />
        )}
      </View>
      {link.effects.length > 1 && (
        <Button
          title="Take the effect away"
          icon="trash-2"
          onPress={() =>
            edit((now) =>
              changeLink(now, link.id, { effects: link.effects.filter((_, i) => i !== index) }),
            )
          }
        />
      )}
    </Section>
  );
}
