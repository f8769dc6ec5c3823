/** The way back from what is made, brought in or taken out. */
import { Link } from 'react-router';
import { ForWriters } from '../data/api/ForWriters';

export const PapersLink = () => (
  <ForWriters of="verify">
    <Link className="underline underline-offset-4" to="/papers">
      Papers
    </Link>
  </ForWriters>
);
