/** The way back from what is made, brought in or taken out. */
import { Link } from 'react-router';
import { useMay } from '../data/api/session';

export const PapersLink = () =>
  useMay()('verify') && (
    <Link className="underline underline-offset-4" to="/papers">
      Papers
    </Link>
  );
