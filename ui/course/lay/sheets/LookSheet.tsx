import { useState } from 'react';
import { View } from 'react-native';
import {
  Button,
  Field,
  IconButton,
  ListItem,
  Sheet,
  showToast,
  Text,
  Toggle,
} from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { MOST_NAMED, usePlaces } from '../../../state/places';
import { useSettings } from '../../../device/settings';
import { SPACE } from '../../../theme';
import { viewCommands } from '../../commands/list';
import { useNavigation } from '../../commands/navigation';
import { buildCommands, lookAtChoice } from '../../open/chosenEdits';
import { useLayOf } from '../../open/laying';
import { goToPlace, placeNow } from '../../open/opening';
import { useOpen } from '../../open/openStore';
import { Flow } from '../../parts/Section';

/** Ways to look at a course, views that were kept, and what else has no button of its own. */
export function LookSheet({ onClose }: { onClose: () => void }) {
  const navigation = useNavigation();
  const { flying, toggleFlying } = useLayOf('flying', 'toggleFlying');
  const muted = useSettings((s) => s.muted);
  const { open } = useOpen.getState();
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <Sheet title="Look and find" open onClose={onClose}>
      <Flow>
        <Button title="Go to the choice" icon="crosshair" onPress={then(lookAtChoice)} />
        <Button title="From the far side" icon="refresh-cw" onPress={then(viewCommands.farSide)} />
        <Button title="From the end" icon="corner-up-left" onPress={then(viewCommands.fromEnd)} />
        <Button title="All in view" icon="maximize" onPress={then(viewCommands.fit)} />
      </Flow>
      <Toggle label="Flying pad" value={flying} onChange={() => toggleFlying()} />
      <Toggle
        label="Sound"
        value={!muted}
        onChange={(on) => useSettings.getState().set({ muted: !on })}
      />
      <KeptViews onGo={onClose} />
      <Text as="strong">More</Text>
      <Flow>
        <Button title="Find a command" icon="search" onPress={() => open('finder')} />
        <Button title="All keys and touches" icon="help-circle" onPress={then(navigation.help)} />
        <Button
          title="All pieces"
          icon="list"
          onPress={() => open('pieces')}
          testID="pieces-open"
        />
        <Button title="Hidden and locked" icon="eye-off" onPress={() => open('hidden')} />
        <Button title="Take every group apart" onPress={then(buildCommands.ungroupAll)} />
        <Button title="Raise by 10 cm" onPress={() => buildCommands.sink(-0.1)} />
        <Button title="Sink by 10 cm" onPress={() => buildCommands.sink(0.1)} />
      </Flow>
    </Sheet>
  );
}

/** The views kept by name: gone to, taken over, and forgotten. */
function KeptViews({ onGo }: { onGo: () => void }) {
  const id = useCourse((s) => s.id);
  const named = usePlaces((s) => s.courses[id]?.named ?? NONE);
  const [name, setName] = useState('');
  const keep = () => {
    const kept = name.trim() || `View ${named.length + 1}`;
    if (!usePlaces.getState().name(id, kept, placeNow())) {
      showToast(`There are ${MOST_NAMED} views already. Forget one first.`);
      return;
    }
    setName('');
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="strong">Kept views</Text>
      {named.map((view) => (
        <View key={view.name} style={{ flexDirection: 'row', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <ListItem
              onPress={() => {
                onGo();
                goToPlace(view.place, 500);
              }}
            >
              <Text>{view.name}</Text>
            </ListItem>
          </View>
          <IconButton
            icon="trash-2"
            label={`Forget ${view.name}`}
            onPress={() => usePlaces.getState().forget(id, view.name)}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
        <View style={{ flex: 1 }}>
          <Field
            name="Name of the view"
            placeholder={`View ${named.length + 1}`}
            value={name}
            maxLength={40}
            onChangeText={setName}
            onSubmitEditing={keep}
            testID="view-name"
          />
        </View>
        <Button title="Keep this view" onPress={keep} testID="view-keep" />
      </View>
    </View>
  );
}

const NONE: never[] = [];
