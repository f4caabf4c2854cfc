import { useVirtualizer } from '@tanstack/react-virtual';
import { createContext, useContext, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useIsPrinting } from './useIsPrinting';

/** The element a page scrolls in; null before it is there. */
export const PageScroll = createContext<HTMLElement | null>(null);

interface LongListProps<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** Height of one before it was ever laid out, px. */
  readonly height: number;
  readonly children: (item: T) => ReactNode;
  /** Room after each, px. */
  readonly gap?: number;
  readonly role?: 'rowgroup';
}

/** As many are laid out whatever is seen of them: they scroll and are found by the browser without any help. */
const FEW = 40;
/** So many more than are seen are there on either side, for the tab key and a quick thumb. */
const BESIDE = 8;

/** A list in a page: of a long one only what is seen of it is laid out, all of it on paper. */
export function LongList<T>(props: LongListProps<T>) {
  const { items, keyOf, children, gap = 0, role } = props;
  const printing = useIsPrinting();
  if (items.length > FEW && !printing) return <Seen {...props} />;
  return (
    <View {...(role ? { role } : {})}>
      {items.map((item) => (
        <View key={keyOf(item)} style={{ paddingBottom: gap }}>
          {children(item)}
        </View>
      ))}
    </View>
  );
}

function Seen<T>({ items, keyOf, height, children, gap = 0, role }: LongListProps<T>) {
  const scroll = useContext(PageScroll);
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  // Where the list begins moves with what stands above it.
  useLayoutEffect(() => {
    const [here, page] = [list.current, scroll];
    if (!here || !page) return undefined;
    const measure = () =>
      setTop(Math.round(here.getBoundingClientRect().top - page.getBoundingClientRect().top + page.scrollTop));
    measure();
    const watch = new ResizeObserver(measure);
    if (page.firstElementChild) watch.observe(page.firstElementChild);
    return () => watch.disconnect();
  }, [scroll]);
  // eslint-disable-next-line react-hooks/incompatible-library -- it answers by methods whose answers change: the compiler leaves this component alone, and nothing here is remembered by hand.
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroll,
    estimateSize: () => height + gap,
    getItemKey: (index) => {
      const item = items[index];
      return item === undefined ? index : keyOf(item);
    },
    scrollMargin: top,
    overscan: BESIDE,
  });
  const seen = rows.getVirtualItems();
  return (
    <div
      ref={list}
      {...(role ? { role } : {})}
      style={{
        paddingTop: (seen[0]?.start ?? top) - top,
        paddingBottom: Math.max(0, rows.getTotalSize() + top - (seen.at(-1)?.end ?? top)),
      }}
    >
      {seen.map(({ key, index }) => {
        const item = items[index];
        return item === undefined ? null : (
          <div key={String(key)} data-index={index} ref={rows.measureElement} style={{ paddingBottom: gap }}>
            {children(item)}
          </div>
        );
      })}
    </div>
  );
}
