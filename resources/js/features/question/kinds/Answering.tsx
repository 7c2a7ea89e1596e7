import type { ComponentType } from 'react';
import { Gaps } from './gaps/Field';
import type { Kind, KindProps } from './kind';
import { NumberField } from './number/Field';
import { Options } from './options/Field';
import { Ordering } from './ordering/Field';
import { PictureField } from './picture/Field';
import { Rows } from './rows/Field';
import { WrittenField } from './written/Field';

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
