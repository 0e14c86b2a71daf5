import { ticksOf } from '@/core/run';
import { View } from 'react-native';
import { addLink, changeLink, moveEffect, newCue, newEffect, removeLink } from '@/core/edit';
import { CUE_TRAITS, CUES, type CueKind, type Link } from '@/core/course';
import { Button, Chip, Choices, NumberField, SortableList, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { useFirings } from '../motion/dry';
import { Flow } from '../figures/Section';
import { useTune } from '../tuneStore';
import { CUE_ROWS } from './cueRows';
import { EffectCard } from './EffectCard';
import { EFFECT_ROWS } from './effectRows';
import { linkWords } from './linkWords';
import { openLink } from './openLink';
import { PiecesPicked, toggled } from './PiecesPicked';

/** Gives a link's cue by hand, a moment after the one that is shown, and plays on. */
function tryLink(link: string): void {
  const { at, tried, set } = useTune.getState();
  const tick = ticksOf(at) + 12;
  set({ tried: [...tried, { link, tick }], playing: true });
}

const DELAYS = [
  { key: 'delay', label: 'Delay', unit: 's', step: 0.25, usual: 0 },
  { key: 'chance', label: 'How likely', unit: '', step: 0.1, usual: 1 },
  { key: 'rest', label: 'Rest before again', unit: 's', step: 0.5, usual: 0 },
] as const;

export function LinkCard({ link }: { link: Link }) {
  const { course, edit } = useEditing();
  const { lit } = useFirings();
  const { cue, effects } = link;
  const change = (to: Parameters<typeof changeLink>[2], merge?: string) =>
    edit((now) => changeLink(now, link.id, to), merge);
  const pickCue = () =>
    useTune.getState().set({
      picking: {
        words: 'Touch the piece it watches',
        take: (id) =>
          edit((now) => {
            const old = now.links?.find((one) => one.id === link.id)?.cue ?? cue;
            const pieces = toggled(old.pieces, id);
            return changeLink(now, link.id, { cue: { ...old, pieces } });
          }),
      },
    });
  return (
    <View style={{ gap: SPACE.m }} testID="link-card">
      <Text as="strong">{linkWords(link, course.pieces)}</Text>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
        <Button title="Try it now" icon="zap" testID="try-link" onPress={() => tryLink(link.id)} />
        {lit.has(link.id) && (
          <Text as="strong" testID="link-acts">
            It acts.
          </Text>
        )}
      </View>
      <Choices
        label="When"
        value={cue.kind}
        options={CUES.map((value) => ({ value, label: CUE_ROWS[value].label }))}
        onChange={(kind: CueKind) => change({ cue: newCue(kind, cue.pieces) })}
      />
      {CUE_TRAITS[cue.kind].ofPieces && (
        <PiecesPicked
          ids={cue.pieces}
          onPick={pickCue}
          onDrop={(id) => change({ cue: { ...cue, pieces: toggled(cue.pieces, id) } })}
        />
      )}
      {CUE_TRAITS[cue.kind].ofAll && (cue.pieces?.length ?? 0) > 1 && (
        <Chip
          role="checkbox"
          label="All of them, each at any time"
          on={cue.all === true}
          onPress={() => {
            const { all, ...rest } = cue;
            change({ cue: all ? rest : { ...cue, all: true } });
          }}
        />
      )}
      {cue.count !== undefined && (
        <NumberField
          label={CUE_ROWS[cue.kind].count ?? 'How many'}
          unit=""
          step={1}
          value={cue.count}
          onChange={(count) => change({ cue: { ...cue, count: Math.round(count) } }, 'cue count')}
        />
      )}
      {cue.seconds !== undefined && (
        <NumberField
          label={CUE_ROWS[cue.kind].seconds ?? 'Time'}
          unit="s"
          step={0.25}
          value={cue.seconds}
          onChange={(seconds) => change({ cue: { ...cue, seconds } }, 'cue seconds')}
        />
      )}
      {effects.length > 1 && (
        <SortableList
          label="What is done, in this order"
          items={effects.map(({ kind }) => EFFECT_ROWS[kind].label)}
          onMove={(from, to) => edit((now) => moveEffect(now, link.id, from, to))}
        />
      )}
      {effects.map((effect, i) => (
        <EffectCard key={i} link={link} effect={effect} index={i} />
      ))}
      <Button
        title="One more effect"
        icon="plus"
        onPress={() => change({ effects: [...effects, newEffect('sound')] })}
      />
      <View>
        {DELAYS.map(({ key, label, unit, step, usual }) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            step={step}
            value={link[key] ?? usual}
            onChange={(value) =>
              change({ [key]: value === usual ? undefined : value }, `link ${key}`)
            }
          />
        ))}
      </View>
      <Flow>
        <Chip
          role="checkbox"
          label="Once in a run"
          on={link.once === true}
          onPress={() => change({ once: link.once ? undefined : true })}
        />
      </Flow>
      <Flow>
        <Button title="All links" icon="chevron-left" onPress={() => openLink(null)} />
        <Button
          title="Copy the link"
          icon="copy"
          onPress={() => {
            edit((now) => {
              const { id: _, ...alike } = structuredClone(link);
              const { course: next, id } = addLink(now, alike);
              openLink(id);
              return next;
            });
          }}
        />
        <Button
          title="Take the link away"
          icon="trash-2"
          kind="danger"
          onPress={() => {
            edit((now) => removeLink(now, link.id));
            openLink(null);
          }}
        />
      </Flow>
    </View>
  );
}
