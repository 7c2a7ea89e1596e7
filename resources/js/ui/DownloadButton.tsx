import { useMutation } from '@tanstack/react-query';
import { Button } from './Button';
import { download } from './download';

const TYPES = {
  csv: 'text/csv;charset=utf-8',
  txt: 'text/plain;charset=utf-8',
  json: 'application/json',
  ics: 'text/calendar;charset=utf-8',
} as const;

/** Makes a file when it is asked for, and hands it to the browser. */
export function DownloadButton(props: {
  /** Of the file; its ending says what it is. */
  name: `${string}.${keyof typeof TYPES}`;
  make: () => Promise<string>;
  children: string;
}) {
  const taking = useMutation({
    mutationFn: async () => {
      const ending = props.name.slice(props.name.lastIndexOf('.') + 1) as keyof typeof TYPES;
      download(props.name, TYPES[ending], await props.make());
    },
  });
  return (
    <span className="inline-flex flex-wrap items-center gap-3">
      <Button small busy={taking.isPending} onClick={() => taking.mutate()}>
        {props.children}
      </Button>
      {taking.isError && (
        <span role="alert" className="text-error">
          {taking.error.message}
        </span>
      )}
    </span>
  );
}
