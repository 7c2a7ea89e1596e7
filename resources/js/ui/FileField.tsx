/** A file to choose. */
export function FileField(props: { label: string; accept: string; onChange: (file: File | null) => void }) {
  return (
    <label className="grid gap-1">
      <span className="font-bold">{props.label}</span>
      <input
        type="file"
        accept={props.accept}
        className="w-full rounded-field border border-base-content/50 text-base file:mr-3 file:min-h-11 file:cursor-pointer file:border-0 file:border-r file:border-base-content/50 file:bg-base-200 file:px-4 file:font-bold file:text-base-content"
        onChange={(event) => props.onChange(event.target.files?.[0] ?? null)}
      />
    </label>
  );
}
