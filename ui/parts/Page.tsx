import type { PropsWithChildren, ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { SPACE, useColours } from '../theme';
import { IconButton } from './IconButton';
import { Text } from './Text';

interface PageProps {
  readonly title: string;
  readonly onBack?: () => void;
  readonly actions?: ReactNode;
  /** Greatest width of the content. */
  readonly width?: number;
}

/** A page of paper with a title, that scrolls. */
export function Page({
  title,
  onBack,
  actions,
  width = 1120,
  children,
}: PropsWithChildren<PageProps>) {
  const colours = useColours();
  return (
    <ScrollView
      style={{ flex: 1, backgroundColor: colours.paper }}
      contentContainerStyle={{ flexGrow: 1, alignItems: 'center' }}
    >
      <View style={{ width: '100%', maxWidth: width, padding: SPACE.l, gap: SPACE.l, flexGrow: 1 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center', minHeight: 48, gap: SPACE.xs }}>
          {onBack && (
            <IconButton
              icon="chevron-left"
              label="Back"
              onPress={onBack}
              style={{ marginLeft: -SPACE.m }}
            />
          )}
          <Text as="title" style={{ flex: 1 }}>
            {title}
          </Text>
          {actions}
        </View>
        {children}
      </View>
    </ScrollView>
  );
}
