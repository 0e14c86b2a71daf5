import { View } from 'react-native';
import { changeEffect, changeLink, effectMisfit, newEffect } from '@/core/edit';
import {
  EFFECTS,
  EFFECT_TRAITS,
  SOUNDS,
  type Effect,
  type EffectKind,
  type Link,
} from '@/core/course';
import { Button, Choices, Field, NumberField } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { Section } from '../../parts/Section';
import { Triple } from '../figures/Triple';
import { useTune } from '../../open/tuneStore';
import { SOUND_WORDS } from '../../open/pieceWords';
import { EFFECT_ROWS } from './effectRows';
import { PiecesPicked, toggled } from './PiecesPicked';

/** One thing that a link does, and to what. */
export function EffectCard({ link, effect, index }: { link: Link; effect: Effect; index: number }) {
  const edit = useCourse((s) => s.edit);
  const { kind } = effect;
  const row = EFFECT_ROWS[kind];
  const set = (next: Effect, merge?: string) =>
    edit((now) => changeEffect(now, link.id, index, next), merge);
  const pick = () =>
    useTune.getState().set({
      picking: {
        words: row.picking ?? `Touch what to ${row.label.toLowerCase()}`,
        misfit: (now, piece) => effectMisfit(now, kind, piece),
        take: (id) =>
          edit((now) => {
            const old = now.links?.find((one) => one.id === link.id)?.effects[index] ?? effect;
            const pieces = row.onOne ? [id] : toggled(old.pieces, id);
            return changeEffect(now, link.id, index, { ...old, pieces });
          }),
      },
    });
  return (
    <Section title={index === 0 ? 'Then' : 'And'}>
      <Choices
        value={kind}
        options={EFFECTS.map((value) => ({ value, label: EFFECT_ROWS[value].label }))}
        onChange={(next: EffectKind) => set(newEffect(next, effect.pieces))}
      />
      {EFFECT_TRAITS[kind].onPieces && (
        <PiecesPicked
          ids={effect.pieces}
          onPick={pick}
          onDrop={(id) => set({ ...effect, pieces: toggled(effect.pieces, id) })}
        />
      )}
      <OwnFigures effect={effect} index={index} set={set} />
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

interface OwnProps {
  readonly effect: Effect;
  readonly index: number;
  readonly set: (next: Effect, merge?: string) => void;
}

/** What this kind of effect asks by itself: words, a sound, a speed, how much and how long. */
function OwnFigures({ effect, index, set }: OwnProps) {
  const row = EFFECT_ROWS[effect.kind];
  return (
    <>
      {row.own === 'words' && (
        <Field
          label="Words"
          value={effect.text ?? ''}
          maxLength={120}
          onChangeText={(text) => set({ ...effect, text }, `effect ${index} text`)}
        />
      )}
      {row.own === 'sound' && (
        <Choices
          value={effect.sound ?? 'bell'}
          options={SOUNDS.map((value) => ({ value, label: SOUND_WORDS[value] }))}
          onChange={(sound) => set({ ...effect, sound })}
        />
      )}
      {row.own === 'speed' && (
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
            {...(row.value ?? { label: 'Value', unit: '', step: 0.1 })}
            value={effect.value}
            onChange={(value) => set({ ...effect, value }, `effect ${index} value`)}
          />
        )}
        {effect.seconds !== undefined && (
          <NumberField
            label={row.seconds ?? 'For'}
            unit="s"
            step={0.5}
            value={effect.seconds}
            onChange={(seconds) => set({ ...effect, seconds }, `effect ${index} seconds`)}
          />
        )}
      </View>
    </>
  );
}
