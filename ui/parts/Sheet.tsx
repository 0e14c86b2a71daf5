import { Overlay } from '@rneui/themed';
import { useEffect, type PropsWithChildren, type ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { RADIUS, SPACE, useColours, WIDE } from '../theme';
import { motionReduced } from '../device/motion';
import { IconButton } from './IconButton';
import { Text } from './Text';
import { useSheetFocus } from './useSheetFocus';

interface SheetProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  /** What stays in sight below, however long the rest is. */
  readonly foot?: ReactNode;
}

/** Something to read or fill in: from below on a phone, in the middle of a wide screen. */
export function Sheet({ title, open, onClose, foot, children }: PropsWithChildren<SheetProps>) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const heading = useSheetFocus(open);
  useEffect(() => {
    if (!open || typeof window === 'undefined' || !window.addEventListener) return;
    const down = (event: KeyboardEvent) => {
      if (event.key === 'Escape') onClose();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [open, onClose]);
  return (
    <Overlay
      isVisible={open}
      onBackdropPress={onClose}
      onRequestClose={onClose}
      animationType={motionReduced() ? 'none' : 'fade'}
      {...({ 'aria-label': title } as object)}
      backdropStyle={{ backgroundColor: colours.scrim }}
      overlayStyle={{
        position: 'absolute',
        padding: 0,
        backgroundColor: colours.card,
        width: wide ? 460 : width,
        maxHeight: height * 0.86,
        borderRadius: RADIUS.l,
        ...(wide ? {} : { bottom: 0, borderBottomLeftRadius: 0, borderBottomRightRadius: 0 }),
      }}
    >
      <View
        ref={heading}
        {...({ tabIndex: -1 } as object)}
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          paddingLeft: SPACE.l,
          paddingRight: SPACE.s,
          paddingTop: SPACE.s,
        }}
      >
        <Text as="heading" style={{ flex: 1 }}>
          {title}
        </Text>
        <IconButton icon="x" label="Close" onPress={onClose} />
      </View>
      <ScrollView
        style={{ maxHeight: height * (foot ? 0.68 : 0.74) }}
        contentContainerStyle={{ padding: SPACE.l, paddingTop: SPACE.xs, gap: SPACE.m }}
        keyboardShouldPersistTaps="handled"
      >
        {children}
      </ScrollView>
      {foot && (
        <View
          style={{
            padding: SPACE.m,
            paddingHorizontal: SPACE.l,
            borderTopWidth: 1,
            borderColor: colours.line,
          }}
        >
          {foot}
        </View>
      )}
    </Overlay>
  );
}
