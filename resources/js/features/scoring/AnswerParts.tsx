import clsx from 'clsx';
import type { ReactNode } from 'react';
import type { View } from '../../api/client';
import { Chip } from '../../ui/Chip';
import { Markdown } from '../../ui/Markdown';
import { PointMark } from '../sitting/kinds/PictureField';
import type { Response } from '../sitting/response';

interface Parts {
  explanation: View<'Explanation'>;
  response: Response | null;
}

/** One part of a question: what it is, what was answered, what is right, and why. */
function Part({ tone, children, why }: { tone: 'right' | 'wrong' | 'plain'; children: ReactNode; why?: string }) {
  return (
    <li
      className={clsx(
        'rounded-field border p-3',
        tone === 'right' ? 'border-2 border-success' : tone === 'wrong' ? 'border-2 border-error' : 'border-base-300',
      )}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">{children}</div>
      {why && (
        <div className="mt-1">
          <Markdown>{why}</Markdown>
        </div>
      )}
    </li>
  );
}

const List = ({ children }: { children: ReactNode }) => <ul className="grid max-w-[75ch] gap-3">{children}</ul>;
const Said = ({ children }: { children: string }) => (
  <span className="font-bold">
    <Markdown inline>{children}</Markdown>
  </span>
);

export function OptionParts({ explanation, response }: Parts) {
  const { question, answer, why } = explanation;
  const chosen = response?.choices ?? (response?.choice ? [response.choice] : []);
  return (
    <List>
      {question.options.map((option) => {
        const key = answer.options.includes(option.id);
        const mine = chosen.includes(option.id);
        return (
          <Part key={option.id} tone={key ? 'right' : mine ? 'wrong' : 'plain'} why={why[option.id] ?? ''}>
            <Said>{option.text}</Said>
            {key && <Chip>✓ Right answer</Chip>}
            {mine && <Chip>Your choice</Chip>}
            {explanation.struck.includes(option.id) && <Chip>You ruled it out</Chip>}
          </Part>
        );
      })}
    </List>
  );
}

export function RowParts({ explanation, response }: Parts) {
  const { question, answer, why } = explanation;
  return (
    <List>
      {question.rows.map((row) => {
        const name = (id: string | undefined) =>
          (row.choices ?? question.choices).find((choice) => choice.id === id)?.text ?? '';
        const mine = response?.rows?.[row.id];
        const key = answer.rows[row.id];
        return (
          <Part key={row.id} tone={mine === key ? 'right' : mine ? 'wrong' : 'plain'} why={why[row.id] ?? ''}>
            <Said>{row.text}</Said>
            <Chip>✓ {name(key)}</Chip>
            {mine !== key && <Chip>{mine ? `You: ${name(mine)}` : 'You: nothing'}</Chip>}
          </Part>
        );
      })}
    </List>
  );
}

export function GapParts({ explanation, response }: Parts) {
  const { answer, why } = explanation;
  const gaps = [...explanation.question.stem.matchAll(/\[\[(\w+)\]\]/g)].map(([, gap]) => gap ?? '');
  return (
    <List>
      {gaps.map((gap, i) => (
        <Part key={gap} tone="plain" why={why[gap] ?? ''}>
          <span className="font-bold">Gap {i + 1}</span>
          <Chip>✓ {answer.gaps[gap] ?? ''}</Chip>
          <Chip>{response?.gaps?.[gap] ? `You: ${response.gaps[gap]}` : 'You: nothing'}</Chip>
        </Part>
      ))}
    </List>
  );
}

export function OrderParts({ explanation, response }: Parts) {
  const { question, answer, why } = explanation;
  const text = new Map(question.items.map((item) => [item.id, item.text]));
  return (
    <List>
      {answer.order.map((id, place) => {
        const mine = response?.order?.indexOf(id) ?? -1;
        return (
          <Part key={id} tone={mine === place ? 'right' : mine >= 0 ? 'wrong' : 'plain'} why={why[id] ?? ''}>
            <span className="font-mono font-bold">{place + 1}</span>
            <Said>{text.get(id) ?? ''}</Said>
            {mine >= 0 && mine !== place && <Chip>You: place {mine + 1}</Chip>}
          </Part>
        );
      })}
    </List>
  );
}

export function NumberParts({ explanation, response }: Parts) {
  const { question, answer } = explanation;
  const unit = answer.unit ?? question.suffix ?? '';
  const typed = (response?.text ?? '').replace(',', '.').trim();
  return (
    <div className="grid max-w-[75ch] gap-3">
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-lg">
        <span className="font-bold">
          {answer.value} {unit}
        </span>
        {answer.tolerance && answer.tolerance !== '0' && (
          <span className="text-base-content/75">give or take {answer.tolerance}</span>
        )}
        <Chip>
          {response?.text ? `You: ${response.text} ${response.unit ?? question.suffix ?? ''}` : 'You: nothing'}
        </Chip>
      </p>
      {answer.slips.length > 0 && (
        <>
          <h2 className="font-bold">How people come to other numbers</h2>
          <List>
            {answer.slips.map((slip) => (
              <Part key={slip.value + slip.why} tone={slip.value === typed ? 'wrong' : 'plain'} why={slip.why}>
                <span className="font-bold">
                  {slip.value} {unit}
                </span>
                {slip.value === typed && <Chip>Yours</Chip>}
              </Part>
            ))}
          </List>
        </>
      )}
    </div>
  );
}

export function PictureParts({ explanation, response }: Parts) {
  const { question, answer } = explanation;
  const { picture } = question;
  if (!picture) return null;
  const points = response?.points ?? [];
  return (
    <div className="grid gap-4">
      <div className="relative max-w-2xl rounded-box border border-base-300">
        <img src={picture.file} alt={picture.alt} className="block w-full rounded-box" />
        <svg
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          aria-hidden="true"
          className="absolute inset-0 size-full"
        >
          {answer.targets.map((target, i) => (
            <Shape
              key={`t${i}`}
              region={target}
              picture={picture}
              right
              name={`✓${answer.targets.length > 1 ? i + 1 : ''}`}
            />
          ))}
          {answer.decoys.map((decoy, i) => (
            <Shape key={`d${i}`} region={decoy} picture={picture} name={String.fromCharCode(97 + i)} />
          ))}
          {points.map(({ x, y }, i) => (
            <PointMark key={i} x={x * picture.width} y={y * picture.height} name={points.length > 1 ? i + 1 : ''} />
          ))}
        </svg>
      </div>
      <p className="text-base-content/75">
        {points.length ? 'Rings with a dot: where you pointed. ' : 'You pointed nowhere. '}Full lines: what was asked
        for. Dashed lines: other places, explained below.
      </p>
      <List>
        {answer.targets.map((target, i) => (
          <Part key={`t${i}`} tone="right" why={target.why}>
            <Chip>✓ Here{answer.targets.length > 1 ? ` (${i + 1})` : ''}</Chip>
          </Part>
        ))}
        {answer.decoys.map((decoy, i) => (
          <Part key={`d${i}`} tone="plain" why={decoy.why}>
            <Chip>Place {String.fromCharCode(97 + i)}</Chip>
          </Part>
        ))}
      </List>
    </div>
  );
}

function Shape({
  region,
  picture,
  right,
  name,
}: {
  region: View<'Region'>;
  picture: View<'Picture'>;
  right?: boolean;
  name: string;
}) {
  const { width, height } = picture;
  const look = {
    fill: right ? '#27612f33' : 'none',
    stroke: right ? '#1d5a27' : '#5b5348',
    strokeWidth: 2.5,
    ...(right ? {} : { strokeDasharray: '6 4' }),
  };
  const corners =
    region.polygon?.map(([x = 0, y = 0]) => [x * width, y * height] as const) ??
    (region.rectangle
      ? (([l = 0, t = 0, r = 0, b = 0]) =>
          [
            [l * width, t * height],
            [r * width, t * height],
            [r * width, b * height],
            [l * width, b * height],
          ] as const)(region.rectangle)
      : []);
  const [cx = 0, cy = 0, r = 0] = region.circle ?? [];
  const [labelX, labelY] = region.circle ? [(cx + r) * width, cy * height] : (corners[1] ?? [0, 0]);
  return (
    <g>
      <g stroke="#ffffffb0" strokeWidth="5" fill="none">
        {region.circle ? (
          <circle cx={cx * width} cy={cy * height} r={r * width} />
        ) : (
          <polygon points={corners.map(([x, y]) => `${x},${y}`).join(' ')} />
        )}
      </g>
      {region.circle ? (
        <circle cx={cx * width} cy={cy * height} r={r * width} {...look} />
      ) : (
        <polygon points={corners.map(([x, y]) => `${x},${y}`).join(' ')} {...look} />
      )}
      <text
        x={labelX + 3}
        y={labelY}
        fontSize="15"
        fontWeight="700"
        fill={look.stroke}
        stroke="#fff"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {name}
      </text>
    </g>
  );
}
