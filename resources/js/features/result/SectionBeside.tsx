import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { section } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { SectionPage } from '../library/SectionPage';

/** A section of the handbook in a panel that can be put away. */
export function SectionBeside({ exam, code, onClose }: { exam: string; code: string; onClose: () => void }) {
  const page = useQuery(section(exam, code));
  return (
    <aside
      aria-label="Handbook"
      className="border-l-4 border-accent pl-4 lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:overflow-y-auto print:hidden"
    >
      <button
        type="button"
        onClick={onClose}
        // It has just been asked for.
        ref={(button) => button?.focus()}
        className="float-right inline-flex min-h-11 cursor-pointer items-center gap-1 px-2 pointer-fine:min-h-9"
      >
        <X aria-hidden="true" className="size-4" /> Close
      </button>
      {page.isPending ? (
        <Loading what="Turning the page" />
      ) : page.isError ? (
        <Failure error={page.error} retry={() => void page.refetch()} />
      ) : (
        <SectionPage exam={exam} page={page.data} />
      )}
    </aside>
  );
}
