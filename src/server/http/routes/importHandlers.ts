/** What answers the endpoints of imports. */
import type { Importing } from '../../imports/importing';
import type { Handlers } from './route';

export const importHandlers = (
  importing: Importing,
): Pick<
  Handlers,
  | 'imports'
  | 'importState'
  | 'sendImportFile'
  | 'beginImport'
  | 'stopImport'
  | 'writeImport'
  | 'undoPreview'
  | 'undoImport'
> => ({
  imports: ({ query }) => importing.list(query),
  importState: ({ parts }) => Promise.resolve(importing.stateOf(parts.id)),
  sendImportFile: ({ body, query }) => importing.keep(body, query.name),
  beginImport: ({ body }) => importing.begin(body),
  stopImport: ({ parts }) => importing.stop(parts.id),
  writeImport: ({ parts, body, caller }) => importing.write(parts.id, { ...body, by: caller.personId }),
  undoPreview: ({ parts }) => importing.whatUndoTakes(parts.id),
  undoImport: ({ parts, caller }) => importing.undo(parts.id, caller.personId),
});
