import { useRef } from 'react';
import { View } from 'react-native';
import { setRule } from '@/core/edit';
import type { Tempo } from '@/core/course';
import { Button, Chip, NumberField, showToast, Text } from '../../../parts';
import { keepRecording } from '../../../music/recording';
import { useMusician } from '../../../music/useMusician';
import { useEditing } from '../../../state/panelSnapshot';
import { Flow, Section } from '../../parts/Section';
import { tappedBeats, withTap } from './tapTempo';

/** The tempo a course is built to, and what plays it. */
export function TempoOptions() {
  const { course, edit } = useEditing();
  const { tempo } = course;
  const set = (next: Tempo | undefined, merge?: string) =>
    edit((now) => setRule(now, 'tempo', next), merge);
  return (
    <Section title="Tempo">
      {tempo ? (
        <>
          <Beats tempo={tempo} set={set} />
          <Recording tempo={tempo} set={set} />
        </>
      ) : (
        <>
          <Text tint="slate">Movers, throwers and links may keep a beat.</Text>
          <Button
            title="Give it a tempo"
            icon="music"
            testID="give-tempo"
            onPress={() => set({ beats: 120, plays: true })}
          />
        </>
      )}
    </Section>
  );
}

interface TempoProps {
  readonly tempo: Tempo;
  readonly set: (next: Tempo | undefined, merge?: string) => void;
}

/** How fast it beats: typed or tapped, and heard. */
function Beats({ tempo, set }: TempoProps) {
  const taps = useRef<readonly number[]>([]);
  const musician = useMusician(tempo);
  const tap = () => {
    taps.current = withTap(taps.current, performance.now());
    const beats = tappedBeats(taps.current);
    if (beats !== null) set({ ...tempo, beats }, 'tap');
  };
  return (
    <>
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
    </>
  );
}

/** What plays in runs: the page's musician, or a recording. */
function Recording({ tempo, set }: TempoProps) {
  const choose = async () => {
    const kept = await keepRecording();
    if (typeof kept === 'string') showToast(kept);
    else if (kept) set({ ...tempo, recording: kept });
  };
  return (
    <>
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
    </>
  );
}
