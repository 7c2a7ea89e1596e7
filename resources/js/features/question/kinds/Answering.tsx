import type { ComponentType } from 'react';
import { Gaps } from './Gaps';
import type { Kind, KindProps } from './kind';
import { NumberField } from './NumberField';
import { Options } from './Options';
import { Ordering } from './Ordering';
import { PictureField } from './PictureField';
import { Rows } from './Rows';
import { WrittenField } from './WrittenField';

/** Every kind has its field; a kind without one does not compile. */
const FIELDS: { [Some in Kind]: ComponentType<KindProps<Some>> } = {
  single: Options,
  several: Options,
  true_false_grid: Rows,
  matching: Rows,
  grouping: Rows,
  dropdown_gaps: Gaps,
  typed_gaps: Gaps,
  ordering: Ordering,
  number: NumberField,
  picture: PictureField,
  written: WrittenField,
};

/** Where the answer to a question is given. */
export function Answering(props: KindProps) {
  const Field = FIELDS[props.body.kind] as ComponentType<KindProps>;
  return <Field {...props} />;
}
