import type { View } from '../../api/client';
import { PointMark } from '../question/kinds/picture/Field';
import type { Response } from '../question/response';
import { partName } from './partWords';

/** A picture with where one pointed, what was asked for, and the other places that are explained. */
export function ShownPicture({ explanation, picture }: { explanation: View<'Explanation'>; picture: View<'Picture'> }) {
  const points = (explanation.response as Response | null)?.points ?? [];
  return (
    <div className="grid gap-2">
      <div className="shown-picture relative max-w-2xl rounded-box border border-base-300">
        <img src={picture.file} alt={picture.alt} className="block w-full rounded-box" />
        <svg
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          aria-hidden="true"
          className="absolute inset-0 size-full"
        >
          {explanation.parts.map(
            (part, _, all) =>
              part.region && (
                <Shape
                  key={part.id}
                  region={part.region}
                  picture={picture}
                  right={part.role === 'target'}
                  name={partName(part, all).replace(/^(The place|Place )/, '')}
                />
              ),
          )}
          {points.map(({ x, y }, i) => (
            <PointMark key={i} x={x * picture.width} y={y * picture.height} name={points.length > 1 ? i + 1 : ''} />
          ))}
        </svg>
      </div>
      <p className="text-base-content/75">
        {points.length ? 'Rings with a dot: where you pointed. ' : 'You pointed nowhere. '}Full lines: what was asked
        for. Dashed lines: other places, explained below.
      </p>
    </div>
  );
}

type Corner = readonly [number, number];

/** Corners of a polygon or rectangle in the picture's own units; none of a circle. */
function corners({ polygon, rectangle }: View<'Region'>, width: number, height: number): Corner[] {
  if (polygon) return polygon.map(([x = 0, y = 0]) => [x * width, y * height] as const);
  if (!rectangle) return [];
  const [left = 0, top = 0, right = 0, bottom = 0] = rectangle;
  return (
    [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ] as const
  ).map(([x, y]) => [x * width, y * height] as const);
}

function Shape({
  region,
  picture,
  right,
  name,
}: {
  region: View<'Region'>;
  picture: View<'Picture'>;
  right: boolean;
  name: string;
}) {
  const { width, height } = picture;
  const look = {
    fill: right ? '#27612f33' : 'none',
    stroke: right ? '#1d5a27' : '#5b5348',
    strokeWidth: 2.5,
    ...(right ? {} : { strokeDasharray: '6 4' }),
  };
  const around = corners(region, width, height);
  const outline = around.map(([x, y]) => `${x},${y}`).join(' ');
  const [x = 0, y = 0, r = 0] = region.circle ?? [];
  const [labelX, labelY] = region.circle ? [(x + r) * width, y * height] : (around[1] ?? [0, 0]);
  const drawn = (style: object) =>
    region.circle ? (
      <circle cx={x * width} cy={y * height} r={r * width} {...style} />
    ) : (
      <polygon points={outline} {...style} />
    );
  return (
    <g>
      {/* A light edge, seen on dark ground. */}
      {drawn({ stroke: '#ffffffb0', strokeWidth: 5, fill: 'none' })}
      {drawn(look)}
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
        {right ? `✓${name}` : name}
      </text>
    </g>
  );
}
