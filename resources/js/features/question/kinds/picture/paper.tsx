import type { Paper } from '../kind';

/** Marked in the booklet itself. */
export const paper: Paper<'picture'> = {
  Printed: ({ body }) => (
    <figure>
      <img src={body.picture.file} alt={body.picture.alt} className="max-h-[16cm] max-w-[15cm]" />
      <figcaption className="text-sm">
        {body.points === 1 ? 'Mark the place with a cross.' : `Mark ${body.points} places with crosses.`}
      </figcaption>
    </figure>
  ),
  code: null,
  marks: () => new Map(),
  right: () => 'See the reason below.',
};
