/** The way back from what is made, brought in or taken out. */
import { Link } from 'react-router';

export const PapersLink = () => (
  <Link className="underline underline-offset-4" to="/papers">
    Papers
  </Link>
);
