import { View } from 'react-native';
import { NEW_THROWER, setBehaviour } from '@/core/edit';
import type { Piece } from '@/core/course';
import { findFamily } from '@/core/pieces';
import { Button, Chip, Choices, NumberField } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { Flow, Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';

type Thrower = NonNullable<Piece['thrower']>;

const THROWER_DIALS = [
  { key: 'interval', label: 'One every', unit: 's', step: 0.1 },
  { key: 'size', label: 'Size', unit: 'm', step: 0.1 },
  { key: 'speed', label: 'Speed', unit: 'm/s', step: 0.5 },
  { key: 'rise', label: 'Upwards', unit: '°', step: 5 },
  { key: 'spread', label: 'Turns by up to', unit: '°', step: 5 },
  { key: 'late', label: 'Random delay', unit: '', step: 0.1 },
  { key: 'swerve', label: 'Speed varies by', unit: '', step: 0.05 },
  { key: 'life', label: 'Lasts', unit: 's', step: 0.5 },
  { key: 'most', label: 'At most at once', unit: '', step: 1 },
  { key: 'bounce', label: 'Bounce', unit: '', step: 0.05 },
] as const;

/** What a thrower does where it is not said. */
const USUAL: Partial<Record<keyof Thrower, number>> = { most: 6, bounce: 0.35 };

/** What is thrown most; any other piece of the course may be touched instead. */
const THROWN = ['boulder', 'cask', 'crate', 'buoy'];

/** Whether the chosen pieces send out copies, of what, how often, and what those do. */
export function Throwing({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { thrower } = piece;
  const set = (next: Piece['thrower'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'thrower', next), merge);
  return (
    <Section title="Thrower">
      {thrower ? (
        <>
          <Thrown thrower={thrower} set={set} />
          <ThrowerFigures thrower={thrower} set={set} />
          <Button title="Send out nothing" icon="trash-2" onPress={() => set(undefined)} />
        </>
      ) : (
        <Button
          title="Have it send out copies"
          icon="send"
          testID="add-thrower"
          onPress={() => set(NEW_THROWER)}
        />
      )}
    </Section>
  );
}

interface ThrowerProps {
  readonly thrower: Thrower;
  readonly set: (next: Thrower, merge?: string) => void;
}

/** What is sent out. */
function Thrown({ thrower, set }: ThrowerProps) {
  const { choice, edit } = useEditing();
  const takeLike = (id: string) =>
    edit((now) => {
      const like = now.pieces.find((one) => one.id === id);
      if (!like) return now;
      return setBehaviour(now, choice, 'thrower', { ...thrower, what: like.family });
    });
  return (
    <>
      <Choices
        label="Sends out"
        value={thrower.what}
        options={[...new Set([...THROWN, thrower.what])].map((value) => ({
          value,
          label: findFamily(value)?.label ?? value,
        }))}
        onChange={(what) => set({ ...thrower, what })}
      />
      <Flow>
        <Button
          title="Another piece"
          icon="crosshair"
          testID="pick-thrown"
          onPress={() =>
            useTune.getState().set({
              picking: { words: 'Touch the piece whose like is sent out', take: takeLike },
            })
          }
        />
      </Flow>
    </>
  );
}

/** How often and how fast, and what comes of being hit. */
function ThrowerFigures({ thrower, set }: ThrowerProps) {
  return (
    <>
      <View>
        {THROWER_DIALS.map(({ key, label, unit, step }) => (
          <NumberField
            key={key}
            label={label}
            unit={key === 'interval' && thrower.beats ? 'beats' : unit}
            step={step}
            value={thrower[key] ?? USUAL[key] ?? 0}
            testID={`thrower-${key}`}
            onChange={(value) => set({ ...thrower, [key]: value }, `thrower ${key}`)}
          />
        ))}
      </View>
      <Choices
        label="Who is hit"
        value={thrower.does ?? 'back'}
        options={[
          { value: 'back', label: 'goes back' },
          { value: 'push', label: 'is thrown off' },
          { value: 'slow', label: 'is slowed' },
        ]}
        onChange={(does) => set({ ...thrower, does })}
      />
      <Flow>
        <Chip
          role="checkbox"
          label="Counted in beats"
          on={thrower.beats === true}
          onPress={() => {
            const { beats, ...rest } = thrower;
            set(beats ? rest : { ...thrower, beats: true });
          }}
        />
      </Flow>
    </>
  );
}
