import { ButtonLink } from './Button';
import { Page } from './Page';

export function NotFound() {
  return (
    <Page title="No such page">
      <p className="mb-4">
        The address leads nowhere. Perhaps a machine was renamed, or a letter is missing.
      </p>
      <ButtonLink to="/due" weight="main">
        See what is due
      </ButtonLink>
    </Page>
  );
}
