import { useRef, type ReactNode } from 'react';
import { View, type GestureResponderEvent } from 'react-native';
import { isOwnFinger } from '../../kit/ownFinger';
import { swipeAct } from './walkKeys';

interface SwipeAreaProps {
  readonly onSwipe: (act: 'next' | 'back') => void;
  readonly children: ReactNode;
}

/** Hears a sideways swipe on what it holds; not on what takes the finger for itself. */
export function SwipeArea({ onSwipe, children }: SwipeAreaProps) {
  const touched = useRef<Point | null>(null);
  return (
    <View
      style={{ flex: 1 }}
      onTouchStart={(event) => {
        const touch = touchOf(event);
        touched.current = isOwnFinger(touch.target) ? null : fingerOf(touch);
      }}
      onTouchEnd={(event) => {
        const [from, to] = [touched.current, fingerOf(touchOf(event))];
        touched.current = null;
        const act = from && to ? swipeAct(from, to) : undefined;
        if (act) onSwipe(act);
      }}
    >
      {children}
    </View>
  );
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** The browser's own event, whatever the view calls it. */
const touchOf = ({ nativeEvent }: GestureResponderEvent) => nativeEvent as object as TouchEvent;

/** Where the finger is that came or went. */
function fingerOf(event: TouchEvent): Point | null {
  const touch = event.changedTouches[0];
  return touch ? { x: touch.pageX, y: touch.pageY } : null;
}
