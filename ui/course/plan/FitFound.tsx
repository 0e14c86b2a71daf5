import { View } from 'react-native';
import { Button, metres, Text } from '../../parts';
import { useView } from '../../scene';
import { SPACE } from '../../theme';
import { dropFit, keepFit, raceOnFit, type fitOf } from './fitStore';

/** The track that was found: how closely it follows, and what becomes of it. */
export function FitFound({ found }: { found: NonNullable<ReturnType<typeof fitOf>> }) {
  const { fit, stretch } = found;
  return (
    <>
      <Text as="small" testID="fit-result">
        {stretch ? 'Laid anew: ' : ''}
        {fit.pieces.length} pieces, {metres(fit.length)}
        {fit.closed ? ', closed' : ''}. Greatest deviation {fit.deviation.toFixed(2)} m.
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
          onPress={() => useView.getState().look({ target: fit.at })}
        />
      </View>
    </>
  );
}
