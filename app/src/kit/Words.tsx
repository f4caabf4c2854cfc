import type { ComponentRef, ReactNode, Ref } from 'react';
import { Text, type TextProps, type TextStyle } from 'react-native';
import { scaled } from './textScale';
import { FONT, SIZE } from './tokens';
import { usePalette } from './theme';

interface WordsProps extends TextProps {
  readonly children: ReactNode;
  readonly size?: keyof typeof SIZE;
  readonly strong?: boolean;
  readonly soft?: boolean;
  readonly colour?: string;
  readonly ref?: Ref<ComponentRef<typeof Text>>;
  /** On the web: −1 takes the focus only when it is given. */
  readonly tabIndex?: 0 | -1;
}

/** Said to who listens, not shown. */
export const HEARD_ONLY: TextStyle = { position: 'absolute', width: 1, height: 1, overflow: 'hidden' };

/** Running words. */
export function Words({ size = 'm', strong, soft, colour, style, ...rest }: WordsProps) {
  const palette = usePalette();
  const base: TextStyle = {
    fontFamily: strong ? FONT.wordStrong : FONT.word,
    fontSize: scaled(SIZE[size]),
    lineHeight: Math.round(scaled(SIZE[size]) * 1.4),
    color: colour ?? (soft ? palette.soft : palette.ink),
  };
  return <Text {...rest} style={[base, style]} />;
}

/** Numbers, names and labels, in the narrow face. */
export function Label({ size = 'l', strong = true, soft, colour, style, ...rest }: WordsProps) {
  const palette = usePalette();
  const base: TextStyle = {
    fontFamily: strong ? FONT.labelStrong : FONT.label,
    fontSize: scaled(SIZE[size]),
    lineHeight: Math.round(scaled(SIZE[size]) * 1.2),
    color: colour ?? (soft ? palette.soft : palette.ink),
  };
  return <Text {...rest} style={[base, style]} />;
}

/** A heading, to assistive technology too. */
export function Heading({ level = 2, size, ...rest }: WordsProps & { readonly level?: 1 | 2 | 3 }) {
  const sizes = { 1: 'h2', 2: 'xl', 3: 'l' } as const;
  return <Label role="heading" aria-level={level} size={size ?? sizes[level]} {...rest} />;
}
