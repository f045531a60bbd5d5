/** A table of reference values: first column words, the others figures. */
export function DataTable({
  title,
  note,
  head,
  rows,
}: {
  title: string;
  note: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
}) {
  const id = title.toLowerCase().replace(/\s+/g, '-');
  return (
    <section aria-labelledby={id}>
      <h2 id={id}>{title}</h2>
      <p className="mt-1 max-w-[70ch] text-[13px] text-ink2">{note}</p>
      <div className="mt-2 overflow-x-auto" role="group" aria-label={`${title}, as a table`} tabIndex={0}>
        <table className="w-full measure border-collapse">
          <thead>
            <tr className="align-bottom text-[13px] text-ink2">
              {head.map((name, column) => (
                <th
                  key={name}
                  scope="col"
                  className={column === 0 ? 'pb-1 text-start font-normal' : 'pb-1 ps-4 text-end font-normal'}
                >
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([first = '', ...figures]) => (
              <tr key={first} className="border-t border-hair">
                <th scope="row" className="py-1.5 text-start font-normal">
                  {first}
                </th>
                {figures.map((figure, column) => (
                  <td key={column} className="num py-1.5 ps-4 text-end">
                    {figure}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
