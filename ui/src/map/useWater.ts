import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { readCells } from './cells';

/** A water with its depths and the words they are told in. */
export function useWater(id: string) {
  const water = useQuery({ queryKey: ['water', id], queryFn: () => api.water(id) });
  const words = useQuery({ queryKey: keys.words, queryFn: api.words, staleTime: Infinity });
  const grid = water.data?.grid;
  const cells = useQuery({
    // A grid brought in anew has another source or shape.
    queryKey: ['cells', id, grid],
    queryFn: async () => readCells(grid!, await api.cells(id)),
    enabled: !!grid,
    staleTime: Infinity,
    structuralSharing: false,
  });
  return { water: water.data, words: words.data, cells: cells.data, error: water.error ?? cells.error };
}
