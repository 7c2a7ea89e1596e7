import { useEffect, useState } from 'react';
import { Navigate } from 'react-router';
import { queries } from '../../api/queries';
import { Loading } from '../../ui/Loading';
import type { Late } from './sittingStore';

/** On to the result, past whatever was known of today before. */
export function HandedIn({ id, late }: { id: string; late: Late }) {
  const [fresh, setFresh] = useState(false);
  useEffect(() => {
    void queries.invalidateQueries().then(() => setFresh(true));
  }, []);
  return fresh ? <Navigate to={`/result/${id}`} state={{ late }} replace /> : <Loading what="Marking your test" />;
}
