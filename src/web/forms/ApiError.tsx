/** What the server refused, by field; or that it did not answer. */
import { ApiProblem } from '../data/api/api';

export function ApiError({ error }: { error: Error | null }) {
  if (!error) return null;
  const fields = error instanceof ApiProblem ? (error.document.errors ?? []) : [];
  return (
    <p role="alert" className="mb-2 font-semibold text-brick">
      {[error.message, ...fields.map((each) => `${each.path.replace(/^\$\.?/, '')} ${each.message}`)].join(
        ' ',
      )}
    </p>
  );
}
