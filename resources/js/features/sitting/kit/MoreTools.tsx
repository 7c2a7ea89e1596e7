import { useQuery } from '@tanstack/react-query';
import { Unreachable } from '../../../api/client';
import { section, session } from '../../../api/queries';
import { Failure } from '../../../ui/Failure';
import { Loading } from '../../../ui/Loading';
import { LookFields } from '../../../ui/LookFields';
import { ShortcutSettings } from '../ShortcutSettings';
import { SectionPage } from '../../library/SectionPage';
import { handbooksHere } from '../packs/handbooks';
import type { Workbench } from './kit';
import { OwnClockTool } from './OwnClockTool';
import { Tables } from './Tables';

/** The tools that most sittings do without. */
export default function MoreTools({
  tool,
  bench,
}: {
  tool: 'tables' | 'look' | 'keys' | 'clock' | 'handbook';
  bench: Workbench;
}) {
  switch (tool) {
    case 'tables':
      return <Tables exam={bench.exam} />;
    case 'look':
      return <LookFields look={bench.look} onChange={bench.onLook} />;
    case 'keys':
      return <ShortcutSettings onChange={bench.onShortcuts} />;
    case 'clock':
      return <OwnClockTool sitting={bench.sitting} />;
    case 'handbook':
      return bench.page && <Page exam={bench.exam} code={bench.page} />;
  }
}

function Page({ exam, code }: { exam: string; code: string }) {
  const page = useQuery(section(exam, code));
  const owner = useQuery(session).data?.user?.email ?? '';
  const away = page.error instanceof Unreachable;
  const here = useQuery({ ...handbooksHere(owner), enabled: away });
  const kept = here.data?.find((one) => one.exam === exam)?.sections.find((one) => one.code === code);
  const data = page.data ?? (away ? kept : undefined);
  if (page.isPending || (away && here.isPending)) return <Loading what="Turning the page" />;
  if (!data) return <Failure error={page.error} retry={() => void page.refetch()} />;
  return <SectionPage exam={exam} page={data} />;
}
