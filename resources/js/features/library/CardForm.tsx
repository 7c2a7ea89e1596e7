import { useMutation } from '@tanstack/react-query';
import { useId, useLayoutEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Markdown } from '../../ui/Markdown';

const LONGEST = 4000;

export interface CardSides {
  front: string;
  back: string;
}

/** The two sides of a card, written in Markdown and seen beside it. */
export function CardForm(props: {
  title: string;
  sides: CardSides;
  keep: (sides: CardSides) => Promise<unknown>;
  onClose: () => void;
}) {
  const [sides, setSides] = useState(props.sides);
  const keeping = useMutation({
    mutationFn: () => props.keep(sides),
    meta: { invalidates: [['cards']] },
    onSuccess: () => props.onClose(),
  });
  const changed = sides.front !== props.sides.front || sides.back !== props.sides.back;
  const close = () => {
    if (!changed || window.confirm('Leave this card as it was?')) props.onClose();
  };
  return (
    <Dialog
      wide
      title={props.title}
      onClose={close}
      actions={
        <>
          <Button weight="main" busy={keeping.isPending} onClick={() => keeping.mutate()}>
            Keep the card
          </Button>
          <Button weight="quiet" onClick={close}>
            Cancel
          </Button>
        </>
      }
    >
      <form
        className="grid gap-x-6 gap-y-4 sm:grid-cols-2"
        onSubmit={(event) => (event.preventDefault(), keeping.mutate())}
      >
        <Side
          label="Front"
          text={sides.front}
          onChange={(front) => setSides({ ...sides, front })}
          onKeep={() => keeping.mutate()}
          first
        />
        <Side
          label="Back"
          text={sides.back}
          onChange={(back) => setSides({ ...sides, back })}
          onKeep={() => keeping.mutate()}
        />
      </form>
      <p className="mt-2 text-sm text-base-content/75">Markdown and TeX, as in questions. Ctrl and Enter keep it.</p>
      {keeping.isError && (
        <p role="alert" className="mt-2 text-error">
          {keeping.error.message}
        </p>
      )}
    </Dialog>
  );
}

function Side(props: {
  label: string;
  text: string;
  onChange: (text: string) => void;
  onKeep: () => void;
  first?: boolean;
}) {
  const id = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const { first } = props;
  // It has just been asked for.
  useLayoutEffect(() => {
    if (!first || !field.current) return;
    field.current.focus();
    field.current.setSelectionRange(field.current.value.length, field.current.value.length);
  }, [first]);
  return (
    <div className="grid content-start gap-2">
      <label htmlFor={id} className="font-bold">
        {props.label}
      </label>
      <textarea
        id={id}
        rows={5}
        maxLength={LONGEST}
        value={props.text}
        ref={field}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
          event.preventDefault();
          props.onKeep();
        }}
        onChange={(event) => props.onChange(event.target.value)}
        className="textarea w-full border-base-content/50 text-base"
      />
      {props.text.trim() !== '' && (
        <div
          aria-label={`${props.label}, as it will be seen`}
          role="group"
          className="min-h-8 border-l-4 border-base-300 pl-3"
        >
          <Markdown>{props.text}</Markdown>
        </div>
      )}
    </div>
  );
}
