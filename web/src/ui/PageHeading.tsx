import { Heading, type HeadingProps } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** The one heading of a page: it names the page in the browser, and the reader is brought to it when the page is come to. */
export function PageHeading({ title, children, ...props }: { title: string } & HeadingProps) {
  const heading = useRef<HTMLHeadingElement>(null);
  const { key, hash } = useLocation();
  // The first page of a visit is read from its beginning, and one that leads to a part of it is read from there.
  const came = useRef(key !== 'default' && !hash);
  useEffect(() => {
    document.title = `${title} · Ergastic`;
  }, [title]);
  useEffect(() => {
    if (came.current) heading.current?.focus({ preventScroll: true });
  }, []);
  return (
    <Heading
      ref={heading}
      as="h1"
      tabIndex={-1}
      fontFamily="heading"
      fontSize="title"
      lineHeight={1.15}
      _focusVisible={{ outline: 'none' }}
      {...props}
    >
      {children ?? title}
    </Heading>
  );
}
