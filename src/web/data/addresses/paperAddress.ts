/** Where a document is looked at and issued. */
import type { PaperRequest } from '../../../contract/papers';

export const issueAddress = (request: PaperRequest): string =>
  `/papers/issue?${new URLSearchParams(Object.entries(request).map(([key, value]) => [key, String(value)])).toString()}`;

export const paperFileAddress = (id: string): string => `/api/papers/${encodeURIComponent(id)}/file`;
