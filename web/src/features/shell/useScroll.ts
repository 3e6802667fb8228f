import { useLayoutEffect, type RefObject } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

/** How far each page of the history was scrolled. */
const kept = new Map<string, number>();
/** So long a page that was gone back to may still be growing, ms. */
const GROWS_MS = 2000;

/** What scrolls: the place itself on a phone, the page on a table. */
const scroller = (place: HTMLElement | null): Element | null => {
  if (place && ['auto', 'scroll'].includes(getComputedStyle(place).overflowY)) return place;
  return document.scrollingElement;
};

/** Going on begins at the top; going back finds the page where it was left. A step within a place moves nothing. */
export function useScroll(place: RefObject<HTMLElement | null>) {
  const { key, pathname, hash } = useLocation();
  const type = useNavigationType();
  // Before the next page is laid out: else its beginning would be taken for the end of this one.
  useLayoutEffect(() => {
    const of = scroller(place.current);
    const target = of === document.scrollingElement ? window : of;
    const remember = () => kept.set(key, of?.scrollTop ?? 0);
    target?.addEventListener('scroll', remember, { passive: true });
    return () => target?.removeEventListener('scroll', remember);
  }, [key, place]);
  useLayoutEffect(() => {
    const of = scroller(place.current);
    if (!of || hash) return;
    const wanted = type === NavigationType.Pop ? (kept.get(key) ?? 0) : 0;
    of.scrollTop = wanted;
    if (wanted === 0 || !place.current) return;
    // What is read for the page comes in after it: it is followed until it is as long as it was.
    const watch = new ResizeObserver(() => {
      if (of.scrollTop < wanted) of.scrollTop = wanted;
    });
    for (const child of place.current.children) watch.observe(child);
    const timer = setTimeout(() => watch.disconnect(), GROWS_MS);
    return () => {
      clearTimeout(timer);
      watch.disconnect();
    };
    // A step within a place is a choice, not a way.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pathname, place]);
}
