/** Bringing files in: sent, planned where it holds nobody up, looked at, written, taken back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { BodyOf } from '../../../contract/endpoints';
import { ask, send, tell } from './api';
import { useAllAnew } from './queries';

const LOOK_AGAIN_MS = 400;

export const useSendFile = () =>
  useMutation({
    mutationFn: (file: File) => send('sendImportFile', file, { query: { name: file.name } }),
  });

/** The state of an import; while it is read or written it is asked again and again. */
export const useImportState = (id: string, writing: boolean) =>
  useQuery({
    queryKey: ['importState', id],
    queryFn: ({ signal }) => ask('importState', { parts: { id } }, signal),
    refetchInterval: ({ state }) =>
      writing || (state.data && ['reading', 'writing'].includes(state.data.state)) ? LOOK_AGAIN_MS : false,
  });

export function useBeginImport() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: BodyOf<'beginImport'>) => tell('beginImport', body),
    onSuccess: (state) => client.setQueryData(['importState', state.id], state),
  });
}

/** What an undo would take back; asked when the sheet opens, for others write meanwhile. */
export const useUndoPreview = (id: string) =>
  useQuery({
    queryKey: ['undoPreview', id],
    queryFn: ({ signal }) => ask('undoPreview', { parts: { id } }, signal),
    gcTime: 0,
  });

export function useImportDeeds(id: string) {
  const client = useQueryClient();
  const anew = useAllAnew();
  const parts = { id };
  return {
    stop: useMutation({
      mutationFn: () => tell('stopImport', undefined, { parts }),
      onSuccess: (state) => client.setQueryData(['importState', id], state),
    }),
    write: useMutation({
      mutationFn: (body: BodyOf<'writeImport'>) => tell('writeImport', body, { parts }),
      onSuccess: (state) => {
        client.setQueryData(['importState', id], state);
        return anew();
      },
    }),
    undo: useMutation({
      mutationFn: (by: string) => tell('undoImport', { by }, { parts }),
      onSuccess: anew,
    }),
  };
}
