import { useInfiniteQuery } from '@tanstack/react-query';
import { api } from '../../api/client';

/** So many of the cooks that are over are read at a time. */
const PAGE = 25;

/** The cooks that are over, the latest first, as far back as is asked for. */
export const useLog = () =>
  useInfiniteQuery({
    queryKey: ['cooks', 'log'],
    queryFn: ({ pageParam }) => api.log(pageParam, PAGE),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (pages.length * PAGE < last.all ? pages.length * PAGE : undefined),
  });
