import type { ReactNode } from 'react';
import type { View } from '../../api/client';
import { BreakCheck } from './BreakCheck';
import { EndCheck } from './EndCheck';
import { HandInCheck } from './HandInCheck';
import { OnBreak, Paused, Pausing, TimeUp } from './Interruptions';
import type { startsOf } from './sections';
import type { SittingStore, Snapshot } from './sittingStore';

/** What one looks at: the questions, or a last check before handing in or taking a break. */
export type Face = 'questions' | 'handing in' | 'taking a break';

/** What stands in the middle of a sitting: the questions, or what has to be said or asked in their place. */
export function SittingFace(props: {
  store: SittingStore;
  now: Snapshot;
  briefing: View<'Briefing'>;
  sections: ReturnType<typeof startsOf>;
  /** Those with a note. */
  noted: ReadonlySet<number>;
  face: Face;
  onFace: (face: Face) => void;
  /** It is being handed in. */
  busy: boolean;
  onHandIn: () => void;
  onGo: (position: number) => void;
  children: ReactNode;
}) {
  const { store, now, briefing, face, onFace } = props;
  const away = now.link.kind === 'away';
  const timed = briefing.mode === 'timed';
  // What was taken along by an older version does not say.
  const most = briefing.most || null;
  const going = now.asked !== 'going on' ? 'no' : away ? 'away' : 'asked';
  const back = () => onFace('questions');
  if (now.zero) return <TimeUp away={away} waiting={now.link.kind === 'away' ? now.link.waiting : 0} />;
  if (now.status === 'paused') return <Paused onResume={() => void store.resume()} going={going} timed={timed} />;
  if (now.status === 'on_break')
    return <OnBreak ms={briefing.breakMs || 0} onEnd={() => void store.endBreak()} going={going} />;
  if (now.asked === 'pause') return <Pausing away={away} timed={timed} onBack={() => void store.stayOn()} />;
  if (face === 'questions') return props.children;
  if (face === 'taking a break') {
    const take = () => {
      back();
      void store.takeBreak();
    };
    return (
      <BreakCheck
        ms={briefing.breakMs || 0}
        questions={now.questions}
        sections={props.sections}
        onGo={props.onGo}
        onTake={take}
        onBack={back}
      />
    );
  }
  return most !== null ? (
    <EndCheck most={most} busy={props.busy} away={away} onEnd={props.onHandIn} onBack={back} />
  ) : (
    <HandInCheck
      sections={props.sections}
      questions={now.questions}
      noted={props.noted}
      inTurn={now.questionMs !== null}
      busy={props.busy}
      waiting={away}
      onGo={props.onGo}
      onBack={back}
      onHandIn={props.onHandIn}
    />
  );
}
