import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { chainOf, sketchLines, stretchWish } from '@/core/edit';
import type { Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { Button, Card, Choices, Progress, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE, useColours } from '../../theme';
import { useLay } from '../open/laying';
import { FitFound } from './FitFound';
import { fitOf, layFit, layStretch, stretchAbout, useFit } from './fitStore';
import { FitWishes, type Wishes } from './FitWishes';
import { useFitSearch } from './useFitSearch';

const USUAL: Wishes = { width: 3, tolerance: 1, bends: 'bend', tightest: 3 };

/** Finds the track that follows the sketch, shows how closely, and keeps or drops it. */
export function FitPanel() {
  const colours = useColours();
  const { course } = useEditing();
  const [wishes, setWishes] = useState(USUAL);
  const [wanted, setLine] = useState(0);
  const search = useFitSearch();
  const id = useCourse((s) => s.id);
  // Undone or deleted by other means, it is no longer there to be dropped.
  const found = fitOf(course, id, useFit());
  const lines = sketchLines(course.sketch);
  const line = wanted < lines.length ? wanted : 0;
  const stretch = useStretch(found?.ids);
  const fitLine = () =>
    search.begin(
      () => ({ ...wishes, points: lines[line].points as Vec3[], closed: !!lines[line].closed }),
      (fit) => layFit(fit, line),
    );
  const fitStretch = (chain: readonly Piece[]) => {
    const ids = chain.map((piece) => piece.id);
    return search.begin(
      () => stretchWish(course, chain, wishes),
      (fit) => layStretch(fit, ids),
    );
  };
  return (
    <Card style={{ padding: SPACE.m, gap: SPACE.s, borderColor: colours.line }}>
      <Text as="smallStrong">Fit track to the sketch</Text>
      <FitWishes value={wishes} onChange={setWishes} />
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
      {search.part !== null ? (
        <View style={{ gap: SPACE.s }}>
          <Progress label="Searching for track" part={search.part} />
          <Button title="Cancel" onPress={search.cancel} />
        </View>
      ) : (
        <>
          {found && <FitFound found={found} />}
          {search.error && (
            <Text as="small" tint="rust" accessibilityRole="alert">
              {search.error}
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
                title={
                  stretch.chosen ? 'Fit the chosen pieces again' : 'Fit about this point again'
                }
                onPress={() => void fitStretch(stretch.chain)}
                testID="fit-stretch"
              />
            )}
          </View>
        </>
      )}
    </Card>
  );
}

/** What can be laid anew by itself: the chosen pieces, or those about the touched point. */
function useStretch(
  laid: readonly string[] | undefined,
): { readonly chain: readonly Piece[]; readonly chosen: boolean } | null {
  const { course } = useEditing();
  const choice = useCourse((s) => s.choice);
  const point = useLay((s) => s.sketchPoint);
  const chosen = useMemo(
    () => (choice.size > 0 ? chainOf(course, choice) : null),
    [course, choice],
  );
  if (chosen) return { chain: chosen, chosen: true };
  const about = laid && point ? stretchAbout(course, laid, point) : null;
  return about && { chain: about, chosen: false };
}
