import { LookFields } from '../../../ui/LookFields';
import { ShortcutSettings } from '../ShortcutSettings';
import type { Desk } from './KitTools';
import { Tables } from './Tables';

/** The tools that most sittings do without. */
export default function MoreTools({ tool, desk }: { tool: 'tables' | 'look' | 'keys'; desk: Desk }) {
  switch (tool) {
    case 'tables':
      return <Tables exam={desk.exam} />;
    case 'look':
      return <LookFields look={desk.look} onChange={desk.onLook} />;
    case 'keys':
      return <ShortcutSettings onChange={desk.onShortcuts} />;
  }
}
