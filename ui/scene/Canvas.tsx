import { useLayoutEffect, useRef, useState, type PropsWithChildren } from 'react';
import { StyleSheet, View } from 'react-native';
import { draw, endDrawing, type Drawn } from './drawn';
import { drawingElement } from './Drawing';

/**
 * The place of a screen where its scene is drawn. There is one drawing, handed from screen to screen, so that only
 * what is in it is made anew.
 */
export function Canvas({ running, children }: PropsWithChildren<Pick<Drawn, 'running'>>) {
  const place = useRef<View>(null);
  const [own] = useState(() => Symbol('canvas'));
  useLayoutEffect(() => {
    (place.current as unknown as HTMLElement).append(drawingElement());
    return () => endDrawing(own);
  }, [own]);
  useLayoutEffect(() => draw(own, { running, contents: children }), [own, running, children]);
  return <View ref={place} style={StyleSheet.absoluteFill} />;
}
