import { Link, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, type StyleProp, type ViewStyle } from 'react-native';

interface LinkPressProps {
  readonly href: Href;
  readonly children: ReactNode;
  readonly style?: StyleProp<ViewStyle>;
  /** What it is called where its words do not say it. */
  readonly label?: string;
  readonly current?: boolean;
  /** Instead of where one is: going back does not come here again. */
  readonly replace?: boolean;
}

/** Something one goes to by touching it: a true link, which opens in a new tab where one asks for that. */
export function LinkPress({ href, children, style, label, current, replace }: LinkPressProps) {
  return (
    <Link href={href} asChild {...(replace ? { replace } : {})}>
      <Pressable
        role="link"
        {...(label === undefined ? {} : { 'aria-label': label })}
        {...(current ? { 'aria-current': 'page' as const } : {})}
        // The link hands it on to the page's own element, which takes no list.
        style={StyleSheet.flatten(style)}
      >
        {children}
      </Pressable>
    </Link>
  );
}
