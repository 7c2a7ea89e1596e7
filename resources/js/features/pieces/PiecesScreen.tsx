import { useState } from 'react';
import { Button, ButtonLink } from '../../ui/Button';
import { Chip, ToggleChip } from '../../ui/Chip';
import { Dialog } from '../../ui/Dialog';
import { Empty } from '../../ui/Empty';
import { Choice, Field } from '../../ui/Field';
import { Figure } from '../../ui/Figure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { Notice } from '../../ui/Notice';
import { Outcome, OUTCOMES, type OutcomeName } from '../../ui/Outcome';
import { Table } from '../../ui/Table';
import { Tabs } from '../../ui/Tabs';
import { useTitle } from '../../ui/useTitle';

const THEMES = ['day', 'dusk', 'clear'] as const;

/** Every shared piece, in every theme, to look at together. */
export function Component() {
  useTitle('Pieces');
  return (
    <div className="grid gap-8">
      <h1 className="text-2xl font-bold">Pieces</h1>
      <p className="max-w-[75ch]">What all screens are made of, in each of our themes.</p>
      {THEMES.map((theme) => (
        <section
          key={theme}
          data-theme={theme}
          aria-label={theme}
          className="grid gap-6 rounded-box border border-base-300 bg-base-100 p-5 text-base-content"
        >
          <h2 className="text-lg font-bold capitalize">{theme}</h2>
          <Pieces />
        </section>
      ))}
    </div>
  );
}

function Pieces() {
  const [tab, setTab] = useState<'one' | 'two'>('one');
  const [on, setOn] = useState(true);
  const [asking, setAsking] = useState(false);
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <Button weight="main">Main</Button>
        <Button>Plain</Button>
        <Button weight="quiet">Quiet</Button>
        <Button weight="grave">Grave</Button>
        <Button busy>Busy</Button>
        <Button disabled>Disabled</Button>
        <ButtonLink to="/pieces">A link</ButtonLink>
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label="Field" hint="A hint." />
        <Field label="With a fault" defaultValue="walker@" fault="This does not look like an e-mail address." />
        <Choice label="Choice">
          <option>One of a few</option>
        </Choice>
      </div>
      <div className="flex flex-wrap gap-3">
        <Chip>Chip</Chip>
        <ToggleChip on={on} onChange={setOn}>
          Toggle
        </ToggleChip>
        {(Object.keys(OUTCOMES) as OutcomeName[]).map((outcome) => (
          <Outcome key={outcome} outcome={outcome} />
        ))}
      </div>
      <Tabs
        label="Example"
        open={tab}
        onOpen={setTab}
        tabs={[
          { key: 'one', label: 'One view' },
          { key: 'two', label: 'Another' },
        ]}
      >
        <p>{tab === 'one' ? 'What the one shows.' : 'What the other shows.'}</p>
      </Tabs>
      <div className="grid gap-3">
        <Notice>Something to know.</Notice>
        <Notice tone="good">Saved.</Notice>
        <Notice tone="warn">There are 4 questions with these choices, and you asked for 10.</Notice>
        <Notice tone="bad">The server cannot be reached.</Notice>
      </div>
      <Figure title="A figure" evidence="Based on 4 questions: too few to say much yet.">
        <p>What it shows stands here.</p>
      </Figure>
      <Table
        caption="Example table"
        head={
          <tr>
            <th scope="col">Topic</th>
            <th scope="col">Share</th>
          </tr>
        }
      >
        <tr>
          <td>Map and compass</td>
          <td>66.67 %</td>
        </tr>
      </Table>
      <Markdown>
        {'Text with **weight**, a sum $d = \\dfrac{h}{\\tan\\alpha}$ and a list:\n\n- cairn\n- saddle'}
      </Markdown>
      <Empty title="Nothing is here yet.">
        <Button onClick={() => setAsking(true)}>Open the dialog</Button>
      </Empty>
      <Loading />
      {asking && (
        <Dialog
          title="A question"
          onClose={() => setAsking(false)}
          actions={<Button onClick={() => setAsking(false)}>Close</Button>}
        >
          <p>Answer it before you go on.</p>
        </Dialog>
      )}
    </>
  );
}
