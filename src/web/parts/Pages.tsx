/** Lists that come page by page: what is there, and how the next page is fetched. */
import { type ReactNode, useEffect, useRef } from 'react';
import type { InfiniteData, UseInfiniteQueryResult, UseQueryResult } from '@tanstack/react-query';
import { Button } from './Button';
import { Loaded } from './Page';

type Pages<Row> = UseInfiniteQueryResult<InfiniteData<{ rows: Row[] }>>;

/** What every page holds so far; the same thing once, though it moved between two pages while they were read. */
export function rowsOf<Row>(pages: Pages<Row>, id?: (row: Row) => string): Row[] {
  const rows = pages.data?.pages.flatMap((page) => page.rows) ?? [];
  return id ? [...new Map(rows.map((row) => [id(row), row])).values()] : rows;
}

/** All rows that were read, or what to show instead; then the way to the next ones. */
export function LoadedPages<Row>({
  pages,
  more,
  itself = false,
  children,
}: {
  pages: Pages<Row>;
  more: string;
  /** the next page is fetched as soon as one comes near the end of this one */
  itself?: boolean;
  children: (rows: Row[]) => ReactNode;
}) {
  if (!pages.data) return <Loaded query={pages as unknown as UseQueryResult<never>}>{() => null}</Loaded>;
  return (
    <>
      {children(rowsOf(pages))}
      <MoreRows pages={pages} words={more} itself={itself} />
    </>
  );
}

export function MoreRows({
  pages,
  words,
  itself = false,
}: {
  pages: Pages<never> | Pages<unknown>;
  words: string;
  itself?: boolean;
}) {
  const end = useRef<HTMLDivElement>(null);
  const { hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage } = pages;
  useEffect(() => {
    const element = end.current;
    if (!itself || !element || !hasNextPage || isFetchingNextPage || isFetchNextPageError) return;
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) void fetchNextPage();
      },
      { rootMargin: '600px' },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [itself, hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage]);
  if (!hasNextPage) return null;
  return (
    <div ref={end} className="my-3">
      {isFetchNextPageError && (
        <p role="alert" className="text-brick">
          The next ones did not come. What is above stays.
        </p>
      )}
      <Button disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
        {isFetchingNextPage ? 'Reading…' : words}
      </Button>
    </div>
  );
}
