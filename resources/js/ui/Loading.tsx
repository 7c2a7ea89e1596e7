/** Something is on its way. Says so in words; nothing turns or blinks. */
export function Loading({ what = 'Fetching this page' }: { what?: string }) {
  return (
    <p role="status" className="py-10 text-base-content/75">
      {what}…
    </p>
  );
}
