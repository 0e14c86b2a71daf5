import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { chainOf, sketchLines, stretchWish, type Fit, type FitWish } from '@/core/edit';
import type { Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { Button, Card, Choices, metres, Stepper, Text } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE, useColours } from '../../theme';
import { beginFit, type CancellableJob } from '@/workers/fit';
import { useLay } from '../lay/layStore';
import {
  dropFit,
  fitOf,
  keepFit,
  layFit,
  layStretch,
  raceOnFit,
  stretchAbout,
  useFit,
} from './fitStore';

/** Finds the track that follows the sketch, shows how closely, and keeps or drops it. */
export function FitPanel() {
  const colours = useColours();
  const { course } = useEditing();
  const [width, setWidth] = useState(3);
  const [tolerance, setTolerance] = useState(1);
  const [bends, setBends] = useState<NonNullable<FitWish['bends']>>('bend');
  const [tightest, setTightest] = useState(3);
  const [part, setPart] = useState<number | null>(null);
  const id = useCourse((s) => s.id);
  const state = useFit();
  // Undone or deleted by other means, it is no longer there to be dropped.
  const found = fitOf(course, id, state);
  const [error, setError] = useState<string | null>(null);
  const work = useRef<CancellableJob<Fit> | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  const choice = useCourse((s) => s.choice);
  const point = useLay((s) => s.sketchPoint);
  const lines = sketchLines(course.sketch);
  const [wanted, setLine] = useState(0);
  const line = wanted < lines.length ? wanted : 0;
  const asked = { width, tolerance, bends, tightest };
  // What is chosen, or lies about the touched point, can be laid anew by itself.
  const chosen = useMemo(
    () => (choice.size > 0 ? chainOf(course, choice) : null),
    [course, choice],
  );
  const stretch = chosen ?? (found && point ? stretchAbout(course, found.ids, point) : null);

  const search = async (wish: () => FitWish, lay: (fit: Fit) => void) => {
    setError(null);
    let job: CancellableJob<Fit> | null = null;
    try {
      job = beginFit(wish(), setPart);
      setPart(0);
      work.current = job;
      lay(await job.result);
    } catch (problem) {
      if (!job?.cancelled()) setError((problem as Error).message);
    }
    setPart(null);
  };
  const fitLine = () =>
    search(
      () => ({ ...asked, points: lines[line].points as Vec3[], closed: !!lines[line].closed }),
      (fit) => layFit(fit, line),
    );
  const fitStretch = (chain: readonly Piece[]) =>
    search(
      () => stretchWish(course, chain, asked),
      (fit) =>
        layStretch(
          fit,
          chain.map((piece) => piece.id),
        ),
    );
  return (
    <Card style={{ padding: SPACE.m, gap: SPACE.s, borderColor: colours.line }}>
      <Text as="smallStrong">Fit track to the sketch</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Stepper
          label="Track width"
          value={width}
          unit="m"
          step={0.5}
          min={1}
          max={8}
          onChange={setWidth}
        />
        <Stepper
          label="Keep within"
          value={tolerance}
          unit="m"
          step={0.25}
          min={0.25}
          max={4}
          onChange={setTolerance}
        />
        <Stepper
          label="Tightest bend"
          value={tightest}
          unit="m"
          step={1}
          min={3}
          max={20}
          onChange={setTightest}
        />
      </View>
      {lines.length > 1 && (
        <Choices
          label="Along"
          value={String(line)}
          options={lines.map((_, i) => ({
            value: String(i),
            label: i === 0 ? 'The route' : `Branch ${i}`,
          }))}
          onChange={(value) => setLine(Number(value))}
        />
      )}
      <Choices
        label="Bends"
        value={bends}
        options={[
          { value: 'bend', label: 'Flat' },
          { value: 'banked', label: 'Banked' },
        ]}
        onChange={setBends}
      />
      {part !== null ? (
        <View style={{ gap: SPACE.s }}>
          <View
            style={{
              height: 8,
              borderRadius: 4,
              backgroundColor: colours.line,
              overflow: 'hidden',
            }}
          >
            <View
              style={{
                width: `${Math.round(part * 100)}%`,
                height: 8,
                backgroundColor: colours.moss,
              }}
            />
          </View>
          <Button
            title="Cancel"
            onPress={() => {
              work.current?.cancel();
              setPart(null);
            }}
          />
        </View>
      ) : (
        <>
          {found && (
            <>
              <Text as="small" testID="fit-result">
                {found.stretch ? 'Laid anew: ' : ''}
                {found.fit.pieces.length} pieces, {metres(found.fit.length)}
                {found.fit.closed ? ', closed' : ''}. Greatest deviation{' '}
                {found.fit.deviation.toFixed(2)} m.
              </Text>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
                <Button
                  kind="main"
                  title="Make it the course"
                  icon="flag"
                  onPress={raceOnFit}
                  testID="fit-race"
                />
                <Button title="Keep it" onPress={keepFit} testID="fit-keep" />
                <Button title="Drop it" onPress={dropFit} testID="fit-drop" />
                <Button
                  title="Show the place"
                  onPress={() => useView.getState().look({ target: found.fit.at })}
                />
              </View>
            </>
          )}
          {error && (
            <Text as="small" tint="rust" accessibilityRole="alert">
              {error}
            </Text>
          )}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
            <Button
              kind={found ? 'plain' : 'main'}
              title={found?.line === line ? 'Fit again' : 'Fit pieces'}
              icon="git-commit"
              onPress={() => void fitLine()}
              testID="fit-begin"
            />
            {stretch && (
              <Button
                title={chosen ? 'Fit the chosen pieces again' : 'Fit about this point again'}
                onPress={() => void fitStretch(stretch)}
                testID="fit-stretch"
              />
            )}
          </View>
        </>
      )}
    </Card>
  );
}
