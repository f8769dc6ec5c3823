/** Somebody who comes in by a touch on the name. */
export const PersonButton = ({
  name,
  about,
  disabled = false,
  onClick,
}: {
  name: string;
  about?: string;
  disabled?: boolean;
  onClick: () => void;
}) => (
  <button
    type="button"
    className="flex min-h-14 w-full cursor-pointer items-center justify-between gap-4 rounded border border-line bg-card px-4 text-left disabled:opacity-60"
    disabled={disabled}
    onClick={onClick}
  >
    <span className="font-semibold text-green">{name}</span>
    {about !== undefined && <span className="text-soft">{about}</span>}
  </button>
);
