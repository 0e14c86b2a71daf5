import { useRef } from 'react';
import { View } from 'react-native';
import { setRule } from '@/core/edit';
import type { Tempo } from '@/core/course';
import { Button, Chip, NumberField, showToast, Text } from '../../../parts';
import { keepRecording } from '../../../music/recording';
import { useMusician } from '../../../music/useMusician';
import { useEditing } from '../../../state/panelSnapshot';
import { Flow, Section } from '../figures/Section';

/** Taps further apart than this begin anew, ms. */
const PAUSE = 2500;

/** The tempo a course is built to, and what plays it. */
export function TempoOptions() {
  const { course, edit } = useEditing();
  const { tempo } = course;
  const taps = useRef<number[]>([]);
  const musician = useMusician(tempo);
  const set = (next: Tempo | undefined, merge?: string) =>
    edit((now) => setRule(now, 'tempo', next), merge);
  if (!tempo) {
    return (
      <Section title="Tempo">
        <Text tint="slate">Movers, throwers and links may keep a beat.</Text>
        <Button
          title="Give it a tempo"
          icon="music"
          testID="give-tempo"
          onPress={() => set({ beats: 120, plays: true })}
        />
      </Section>
    );
  }
  const tap = () => {
    const now = performance.now();
    const last = taps.current[taps.current.length - 1];
    taps.current =
      last !== undefined && now - last < PAUSE ? [...taps.current.slice(-7), now] : [now];
    const [first, ...more] = taps.current;
    if (more.length < 3) return;
    const beats = Math.round((60_000 * more.length) / (more[more.length - 1] - first));
    if (beats >= 30 && beats <= 300) set({ ...tempo, beats }, 'tap');
  };
  const choose = async () => {
    const kept = await keepRecording();
    if (typeof kept === 'string') showToast(kept);
    else if (kept) set({ ...tempo, recording: kept });
  };
  return (
    <Section title="Tempo">
      <View>
        <NumberField
          label="Beats a minute"
          unit=""
          step={1}
          value={tempo.beats}
          testID="tempo-beats"
          onChange={(beats) => set({ ...tempo, beats }, 'tempo')}
        />
        <NumberField
          label="First beat after"
          unit="s"
          step={0.05}
          value={tempo.offset ?? 0}
          onChange={(offset) => set({ ...tempo, offset }, 'tempo offset')}
        />
        <NumberField
          label="Beats in a bar"
          unit=""
          step={1}
          value={tempo.bar ?? 4}
          onChange={(bar) => set({ ...tempo, bar: Math.round(bar) }, 'tempo bar')}
        />
      </View>
      <Flow>
        <Button title="Tap the beat" icon="activity" onPress={tap} />
        <Button
          title={musician.playing ? 'Stop' : 'Listen'}
          icon={musician.playing ? 'square' : 'play'}
          onPress={musician.toggle}
        />
      </Flow>
      <Flow>
        <Chip
          role="checkbox"
          label="Plays in runs"
          on={tempo.plays === true}
          onPress={() => set({ ...tempo, plays: !tempo.plays })}
        />
      </Flow>
      <Text as="small" tint="slate">
        {tempo.recording
          ? `Plays ${tempo.recording.name}.`
          : 'The page’s own musician plays a small tune in the tempo.'}
      </Text>
      <Flow>
        <Button
          title={tempo.recording ? 'Another recording' : 'A recording of my own'}
          icon="upload"
          onPress={() => void choose()}
        />
        {tempo.recording && (
          <Button
            title="The musician instead"
            onPress={() => {
              const { recording: _, ...rest } = tempo;
              set(rest as Tempo);
            }}
          />
        )}
        <Button title="No tempo" icon="trash-2" onPress={() => set(undefined)} />
      </Flow>
    </Section>
  );
}
