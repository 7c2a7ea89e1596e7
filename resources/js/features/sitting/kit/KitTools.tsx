import { useQuery } from '@tanstack/react-query';
import { memo, type ReactNode } from 'react';
import { Unreachable } from '../../../api/client';
import { Failure } from '../../../ui/Failure';
import { Loading } from '../../../ui/Loading';
import type { Look } from '../../../ui/look';
import type { part } from '../../../ui/part';
import { useAfterPaint } from '../../../ui/useAfterPaint';
import { Highlights } from '../../library/Highlights';
import { StarAndNote } from '../../library/StarAndNote';
import { WordToAuthors } from '../../library/WordToAuthors';
import type { Shortcuts } from '../../../ui/shortcuts';
import type { Tool } from './kit';
import { calculator, moreTools, scratch } from './parts';

export interface Desk {
  sitting: string;
  exam: string;
  position: number;
  /** Puts a figure into the field of the question; null: it has none. */
  onUse: ((value: string) => void) | null;
  /** Set when the note was asked for by a key. */
  noteAsked: { current: boolean };
  /** Counts what was filled or asked for from elsewhere: a field that knows of it only at first is made anew. */
  filled: number;
  /** Which page of the handbook is open. */
  page: string | null;
  look: Look;
  onLook: (look: Look) => void;
  onShortcuts: (shortcuts: Shortcuts) => void;
  /** What takes the sitting along; null: it cannot be. */
  along: ReactNode;
}

/** One tool of the kit. The question goes first: what lies beside it follows once it is painted. */
export function KitTool({ tool, desk }: { tool: Tool; desk: Desk }) {
  const painted = useAfterPaint(desk);
  // What is done in the kit itself shows at once.
  return <Laid tool={tool} desk={painted.position === desk.position ? desk : painted} />;
}

const Laid = memo(function Laid({ tool, desk }: { tool: Tool; desk: Desk }) {
  const { sitting, position } = desk;
  switch (tool) {
    case 'notes':
      return (
        <div className="grid gap-5">
          <StarAndNote
            key={`${position}-${desk.filled}`}
            sitting={sitting}
            position={position}
            asked={desk.noteAsked}
          />
          <Highlights key={`marks-${position}`} sitting={sitting} position={position} />
          <WordToAuthors key={`word-${position}`} sitting={sitting} position={position} />
        </div>
      );
    case 'calculator':
      return (
        <Later part={calculator} what="the calculator">
          {({ default: Calculator }) => <Calculator sitting={sitting} onUse={desk.onUse} />}
        </Later>
      );
    case 'tables':
    case 'look':
    case 'keys':
    case 'handbook':
      return (
        <Later part={moreTools} what="it">
          {({ default: MoreTools }) => <MoreTools tool={tool} desk={desk} />}
        </Later>
      );
    case 'along':
      return desk.along;
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
