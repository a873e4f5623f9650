import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { PageScroll } from './pageScroll';

/** Shorter lists are drawn whole. */
const WHOLE_UP_TO = 40;
/** Drawn beyond the edge of the screen, so that a fast finger sees no gap, px. */
const BEYOND_PX = 400;

interface VirtualRowsProps<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** Usual height of a row, px; the real one is measured. */
  readonly rowPx: number;
  /** Kept between drawings by who gives it, so that a row in sight is not drawn again as others come. */
  readonly row: (item: T) => ReactNode;
  /** The last rows come in sight: more may be fetched. */
  readonly onEnd?: () => void;
}

/** Rows of a long list: only those in sight are in the page, which scrolls as a whole. */
export function VirtualRows<T>(props: VirtualRowsProps<T>) {
  return props.items.length <= WHOLE_UP_TO ? (
    <>
      {props.items.map((item) => (
        <div key={props.keyOf(item)}>{props.row(item)}</div>
      ))}
    </>
  ) : (
    <InSight {...props} />
  );
}

const DrawnRow = memo(function DrawnRow<T>({
  item,
  row,
}: Pick<VirtualRowsProps<T>, 'row'> & { readonly item: T }) {
  return row(item);
}) as <T>(props: Pick<VirtualRowsProps<T>, 'row'> & { readonly item: T }) => ReactNode;

function InSight<T>({ items, keyOf, rowPx, row, onEnd }: VirtualRowsProps<T>) {
  const scroll = useContext(PageScroll);
  const list = useRef<HTMLDivElement>(null);
  const [topPx, setTop] = useState(0);
  // What stands above the list may grow or shrink: its place is measured anew with the page.
  useEffect(() => {
    const page = scroll?.current;
    if (!page) return;
    const measure = (): void => {
      const place = list.current?.getBoundingClientRect().top ?? 0;
      setTop(Math.round(place - page.getBoundingClientRect().top + page.scrollTop));
    };
    const seen = new ResizeObserver(measure);
    seen.observe(page.firstElementChild ?? page);
    return () => {
      seen.disconnect();
    };
  }, [scroll]);
  // eslint-disable-next-line react-hooks/incompatible-library -- none of its answers are kept between drawings
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroll?.current ?? null,
    estimateSize: () => rowPx,
    getItemKey: (index) => keyOf(items[index] as T),
    overscan: Math.ceil(BEYOND_PX / rowPx),
    scrollMargin: topPx,
  });
  const inSight = rows.getVirtualItems();
  const last = inSight.at(-1)?.index ?? 0;
  useEffect(() => {
    if (last >= items.length - 1) onEnd?.();
  }, [last, items.length, onEnd]);
  return (
    <div ref={list} style={{ height: rows.getTotalSize(), position: 'relative' }}>
      {inSight.map(({ index, key, start }) => (
        <div
          key={key}
          ref={rows.measureElement}
          data-index={index}
          style={{
            position: 'absolute',
            top: 0,
            left: 0,
            width: '100%',
            transform: `translateY(${start - topPx}px)`,
          }}
        >
          <DrawnRow item={items[index] as T} row={row} />
        </div>
      ))}
    </div>
  );
}
