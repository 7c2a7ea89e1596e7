import { useQuery } from '@tanstack/react-query';
import { memo, type ReactNode } from 'react';
import { Unreachable } from '../../../api/client';
import { Failure } from '../../../ui/Failure';
import { Loading } from '../../../ui/Loading';
import type { part } from '../../../ui/part';
import { useAfterPaint } from '../../../ui/useAfterPaint';
import { Highlights } from '../../library/Highlights';
import { StarAndNote } from '../../library/StarAndNote';
import { WordToAuthors } from '../../library/WordToAuthors';
import type { Tool, Workbench } from './kit';
import { calculator, moreTools, scratch } from './parts';

/** One tool of the kit. The question goes first: what lies beside it follows once it is painted. */
export function KitTool({ tool, bench }: { tool: Tool; bench: Workbench }) {
  const painted = useAfterPaint(bench);
  // What is done in the kit itself shows at once.
  return <Laid tool={tool} bench={painted.position === bench.position ? bench : painted} />;
}

const Laid = memo(function Laid({ tool, bench }: { tool: Tool; bench: Workbench }) {
  const { sitting, position } = bench;
  switch (tool) {
    case 'notes':
      return (
        <div className="grid gap-5">
          <StarAndNote
            key={`${position}-${bench.filled}`}
            sitting={sitting}
            position={position}
            asked={bench.noteAsked}
          />
          <Highlights key={`marks-${position}`} sitting={sitting} position={position} />
          <WordToAuthors key={`word-${position}`} sitting={sitting} position={position} />
        </div>
      );
    case 'calculator':
      return (
        <Later part={calculator} what="the calculator">
          {({ default: Calculator }) => <Calculator sitting={sitting} onUse={bench.onUse} />}
        </Later>
      );
    case 'tables':
    case 'look':
    case 'clock':
    case 'keys':
    case 'handbook':
      return (
        <Later part={moreTools} what="it">
          {({ default: MoreTools }) => <MoreTools tool={tool} bench={bench} />}
        </Later>
      );
    case 'along':
      return bench.along;
    case 'scratch':
      return (
        <Later part={scratch} what="the scratch pad">
          {({ default: Scratch }) => <Scratch sitting={sitting} />}
        </Later>
      );
  }
});

/** A tool that is fetched when it is first wanted. */
function Later<Tool>(props: {
  part: ReturnType<typeof part<Tool>>;
  what: string;
  children: (tool: Tool) => ReactNode;
}) {
  const tool = useQuery(props.part);
  if (tool.isPending) return <Loading what={`Fetching ${props.what}`} />;
  if (tool.isError) return <Failure error={new Unreachable()} retry={() => void tool.refetch()} />;
  return props.children(tool.data);
}
