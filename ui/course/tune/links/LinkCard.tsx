import { useMemo } from 'react';
import { View } from 'react-native';
import { addLink, changeLink, moveEffect, newEffect, removeLink } from '@/core/edit';
import type { Link } from '@/core/course';
import { ticksOf } from '@/core/run';
import { Button, Chip, NumberField, SortableList, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Flow } from '../../parts/Section';
import { useFirings } from '../../open/preview/dry';
import { useTune } from '../../open/tuneStore';
import { CueOptions } from './CueOptions';
import { EffectCard } from './EffectCard';
import { EFFECT_ROWS } from './effectRows';
import { linkWords } from './linkWords';
import { openLink } from './openLink';

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

/** One link: what it waits for, what it does then, and when. */
export function LinkCard({ link }: { link: Link }) {
  const { course, edit } = useEditing();
  const { lit } = useFirings();
  const { effects } = link;
  const words = useMemo(() => linkWords(link, course.pieces), [link, course.pieces]);
  return (
    <View style={{ gap: SPACE.m }} testID="link-card">
      <Text as="strong">{words}</Text>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
        <Button title="Try it now" icon="zap" testID="try-link" onPress={() => tryLink(link.id)} />
        {lit.has(link.id) && (
          <Text as="strong" testID="link-acts">
            It acts.
          </Text>
        )}
      </View>
      <CueOptions link={link} />
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
        onPress={() =>
          edit((now) => changeLink(now, link.id, { effects: [...effects, newEffect('sound')] }))
        }
      />
      <When link={link} />
      <LinkButtons link={link} />
    </View>
  );
}

/** How long after its cue a link acts, how likely and how often. */
function When({ link }: { link: Link }) {
  const { edit } = useEditing();
  const change = (to: Parameters<typeof changeLink>[2], merge?: string) =>
    edit((now) => changeLink(now, link.id, to), merge);
  return (
    <>
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
    </>
  );
}

function LinkButtons({ link }: { link: Link }) {
  const { edit } = useEditing();
  return (
    <Flow>
      <Button title="All links" icon="chevron-left" onPress={() => openLink(null)} />
      <Button
        title="Copy the link"
        icon="copy"
        onPress={() =>
          edit((now) => {
            const { id: _, ...alike } = structuredClone(link);
            const { course: next, id } = addLink(now, alike);
            openLink(id);
            return next;
          })
        }
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
  );
}
