'use client';

/** Title of a test, and the way out of it. */
export function FlowHead({
  title,
  onLeave,
  children,
}: {
  title: string;
  onLeave: () => void;
  children: React.ReactNode;
}) {
  return (
    <div className="mb-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2>{title}</h2>
        <button type="button" className="act-plain" onClick={onLeave}>
          Close (saved)
        </button>
      </div>
      <div className="mt-1 max-w-[72ch]">{children}</div>
    </div>
  );
}
